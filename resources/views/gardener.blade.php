<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }}</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @isset($feed)
        <link rel="alternate" type="text/calendar" href="{{ $feed }}" title="Sowing calendar">
    @endisset
    @vite('resources/js/gardener/client.tsx')
</head>
<body class="gardener">
<div id="gardener">{!! $html !!}</div>
<script type="application/json" id="page">{!! $page->json() !!}</script>
</body>
</html>
