<!doctype html>
<html lang="{{ $page->reading->words()->language }}" dir="{{ $page->reading->direction() }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $page->title }}</title>
    <meta name="description" content="{{ $page->description }}">
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @foreach ($page->alternates() as $language => $address)
        <link rel="alternate" hreflang="{{ $language }}" href="{{ $address }}">
    @endforeach
    @isset($page->feed)
        <link rel="alternate" type="text/calendar" href="{{ $page->feed }}" title="{{ $page->reading->say('page.take.feed') }}">
    @endisset
    {{-- Narrows the policy of the header, which is the same for all pages: of styles, the page's own and no other. --}}
    <meta http-equiv="Content-Security-Policy" content="style-src 'self' 'sha256-{{ base64_encode(hash('sha256', $styles, true)) }}'">
    <style>{!! $styles !!}</style>
    {{-- What is read comes before how it looks: letters and the script wait behind it on a slow line. --}}
    @foreach ($fonts as $font)
        <link rel="preload" href="{{ $font }}" as="font" type="font/woff2" crossorigin fetchpriority="low">
    @endforeach
    @unless (in_array($page->name, ['embed', 'paper', 'labels'], true))
        <script type="module" src="{{ Vite::asset('resources/js/gardener/client.ts') }}" fetchpriority="low"></script>
    @endunless
</head>
<body class="gardener">
{!! $html !!}
</body>
</html>
