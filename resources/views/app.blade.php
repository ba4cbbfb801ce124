<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="color-scheme" content="light dark">
<meta property="csp-nonce" nonce="{{ Vite::cspNonce() }}">
<title>Oldpart Fit</title>
<link rel="manifest" href="/manifest.webmanifest">
<link rel="apple-touch-icon" href="/icon-192.png">
<link rel="icon" type="image/svg+xml" href="/mark.svg">
@viteReactRefresh
@vite('resources/js/main.tsx')
</head>
<body>
<div id="app"></div>
<noscript>Oldpart Fit needs scripts switched on in this browser.</noscript>
</body>
</html>
