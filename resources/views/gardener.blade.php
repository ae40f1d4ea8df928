<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $page->title }}</title>
    <meta name="description" content="{{ $page->description }}">
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @isset($page->feed)
        <link rel="alternate" type="text/calendar" href="{{ $page->feed }}" title="Sowing calendar">
    @endisset
    @vite('resources/js/gardener/client.ts')
</head>
<body class="gardener">
{!! $html !!}
</body>
</html>
