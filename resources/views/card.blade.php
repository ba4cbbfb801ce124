<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Fits</title>
<style>
@page { margin: 16mm 14mm 18mm 14mm; }
body { font-family: "DejaVu Sans", sans-serif; font-size: 11pt; color: #000; line-height: 1.35; }
h1 { font-size: 16pt; margin: 0 0 6pt; }
table { width: 100%; border-collapse: collapse; }
th, td { text-align: left; padding: 4pt 6pt; border-bottom: .5pt solid #777; }
th { font-size: 9pt; }
.n { font-family: "DejaVu Sans Mono", monospace; white-space: nowrap; }
.foot { position: fixed; bottom: -10mm; left: 0; right: 0; font-size: 7.5pt; }
</style>
</head>
<body>
<div class="foot">Oldpart Fit · {{ $shop }} · sizes in {{ $unit->value === 'in' ? 'inches' : 'millimetres' }} at 20 °C · ISO 286-2:2010, ANSI B4.1-1967 (R2009)</div>
<h1>Fits</h1>
<table>
<tr><th>size</th><th>fit</th><th>hole</th><th>shaft</th><th>comes out</th></tr>
@foreach($rows as $row)
<tr><td class="n">{{ $say($row['size']) }}</td><td><b>{{ $row['label'] }}</b></td><td class="n">{{ $say($row['hole_shown']['lower']) }} … {{ $say($row['hole_shown']['upper']) }}</td>
<td class="n">{{ $say($row['shaft_shown']['lower']) }} … {{ $say($row['shaft_shown']['upper']) }}</td><td>{{ $say($row['range']) }}</td></tr>
@endforeach
</table>
</body>
</html>
