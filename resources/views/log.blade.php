<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="robots" content="noindex">
    <meta name="theme-color" content="#FBF8F1">
    <title>Log · Anthesis</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="manifest" href="/log-manifest.json">
    @foreach (App\Operations\Faces::addresses() as $face)
        <link rel="preload" href="{{ $face }}" as="font" type="font/woff2" crossorigin>
    @endforeach
    @vite('resources/js/log/main.tsx')
</head>
<body>
<div id="log"></div>
<noscript>The log needs JavaScript.</noscript>
</body>
</html>
