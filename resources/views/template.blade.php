<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Template, one to one</title>
<style>
@page { margin: 6mm; }
body { margin: 0; font-family: "DejaVu Sans", sans-serif; font-size: 8pt; }
</style>
</head>
<body>
<img src="data:image/svg+xml;base64,{{ base64_encode($svg) }}" style="width: {{ $width }}mm; height: {{ $height }}mm" alt="">
<div>Print without scaling (100 %). Measure the check lengths on the print before it is used.</div>
</body>
</html>
