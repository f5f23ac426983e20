<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">
    <meta name="theme-color" content="#f4f0e6">
    <meta name="description" content="Plans, runs and remembers an outdoor roast: the joint, the fire and the hour.">
    <title>Diatherm</title>
    <link rel="icon" type="image/svg+xml" href="/icon.svg">
    <link rel="manifest" href="/app.webmanifest">
    <link rel="apple-touch-icon" href="/icon-192.png">
    <meta name="mobile-web-app-capable" content="yes">
    @vite('resources/js/main.tsx')
</head>
<body>
    <div id="app"></div>
    <noscript>Diatherm draws its pictures in the browser: please allow scripts for this page.</noscript>
</body>
</html>
