<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Template, one to one</title>
<style>
@page { margin: {{ $edge }}mm; }
body { margin: 0; font-family: "DejaVu Sans", sans-serif; font-size: 8pt; }
</style>
</head>
<body>
<img src="data:image/svg+xml;base64,{{ base64_encode($svg) }}" style="width: {{ $width }}mm; height: {{ $height }}mm" alt="">
<div>Print without scaling (100 %). Measure the check lengths on the print before it is used.@if(! $fits) It is larger than a sheet: print it over several, or have it plotted; never fit it to the page.@endif</div>
</body>
</html>
