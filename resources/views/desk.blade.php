<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex">
    <title>Anthesis</title>
    <meta name="style-nonce" content="{{ Vite::cspNonce() }}">
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @foreach (App\Operations\Faces::addresses() as $face)
        <link rel="preload" href="{{ $face }}" as="font" type="font/woff2" crossorigin>
    @endforeach
    @vite('resources/js/shell/main.tsx')
</head>
<body>
<div id="desk"></div>
<noscript>The desk needs JavaScript. Published calendars do not: <a href="/">read them here</a>.</noscript>
</body>
</html>
