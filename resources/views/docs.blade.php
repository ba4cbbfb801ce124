<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>The contract · Oldpart Fit</title>
<link rel="icon" type="image/svg+xml" href="/mark.svg">
@vite('resources/js/docs/docs.ts')
</head>
<body>
<h1>What other programs can ask this shop</h1>
<main id="docs"></main>
<noscript>This page needs scripts switched on; the contract itself is at <a href="/api/contract.json">contract.json</a>.</noscript>
</body>
</html>
