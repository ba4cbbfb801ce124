<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Card for the machine</title>
<style>
@page { margin: 12mm; }
body { font-family: "DejaVu Sans", sans-serif; font-size: 10pt; color: #000; line-height: 1.2; }
h1 { font-size: 14pt; margin: 0 0 4pt; }
table { width: 100%; border-collapse: collapse; }
td { border-bottom: .8pt solid #000; padding: 3pt 4pt; vertical-align: middle; }
.size { font-family: "DejaVu Sans Mono", monospace; font-size: 31pt; font-weight: bold; white-space: nowrap; }
.limit { font-family: "DejaVu Sans Mono", monospace; font-size: 14pt; }
</style>
</head>
<body>
@include('practice')
<h1>{{ $facts->machine }}: {{ $facts->part }}, {{ $facts->takeIn->quantity }} off</h1>
<table>
@foreach($rows as $row)
<tr><td>{{ $row['label'] }}</td>
<td class="size">{{ $row['aim'] ? $say($row['aim']) : ($row['more'] !== [] ? $say($row['more'][0]['says']) : '') }}</td>
<td class="limit">@if($row['limit']){{ $say($row['limit']) }}@elseif($row['lower']){{ $say($row['lower']) }} … {{ $say($row['upper']) }}@endif</td></tr>
@endforeach
</table>
<div>{{ $unit->value === 'in' ? 'inches' : 'millimetres' }} at 20 °C. Let it cool before you measure. Oldpart Fit advises, it does not certify.</div>
</body>
</html>
