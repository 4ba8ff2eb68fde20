<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Aumbrel</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    {{-- only while developing: it writes an inline script, which the built page does without --}}
    @if (app()->isLocal()) @viteReactRefresh @endif
    @vite('resources/js/main.tsx')
</head>
<body>
    <div id="app"></div>
    <noscript>Aumbrel draws its screen with JavaScript. Switch it on and load the page again.</noscript>
</body>
</html>
