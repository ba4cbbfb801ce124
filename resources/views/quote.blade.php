<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Quote</title>
<style>
    @page { margin: 18mm 17mm; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 10.5pt; color: #000; line-height: 1.4; }
    .letter { white-space: pre-line; }
    table { width: 100%; border-collapse: collapse; margin-top: 14pt; font-size: 9.5pt; }
    th, td { text-align: left; padding: 4pt 6pt; border-bottom: 0.5pt solid #999; }
    td.n, th.n { text-align: right; }
    h2 { font-size: 11pt; margin: 18pt 0 0; }
</style>
</head>
<body>
@include('practice')
<div class="letter">{{ $letter }}</div>
@if ($offered)
    <h2>What it is made up of</h2>
    <table>
        <tr><th>Work</th><th class="n">set up, min</th><th class="n">each, min</th></tr>
        @foreach ($facts->operations as $operation)
            <tr><td>{{ $operation->name }}</td><td class="n">{{ number_format($operation->setupMin) }}</td><td class="n">{{ number_format($operation->runMin) }}</td></tr>
        @endforeach
    </table>
    @if ($facts->costs !== [])
        <table>
            <tr><th>Bought</th><th></th><th class="n">{{ $facts->shop->currency }}</th></tr>
            @foreach ($facts->costs as $cost)
                <tr><td>{{ $cost->name }}</td><td>{{ $cost->kind->value }}{{ $cost->eachPiece || $cost->pricePerKg !== null ? ', each piece' : '' }}</td><td class="n">{{ ((array) $quote['amounts'])[$cost->id] ?? '' }}</td></tr>
            @endforeach
        </table>
    @endif
@endif
</body>
</html>
