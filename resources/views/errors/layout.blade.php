<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>@yield('title')</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <style>
        body { margin: 0; background: #FBF8F1; color: #1E2A25; font: 1.05rem/1.55 Literata, Georgia, serif; }
        main { max-width: 34rem; margin: 18vh auto 0; padding: 0 1.25rem; border-top: 1px solid #1E2A25; }
        h1 { font-size: 1.7rem; line-height: 1.2; margin: 1.2rem 0 .4rem; }
        a { color: #2F6B4F; }
    </style>
</head>
<body>
<main>
    <h1>@yield('title')</h1>
    <p>@yield('message')</p>
    <p><a href="/">Find your zone’s calendar</a></p>
</main>
</body>
</html>
