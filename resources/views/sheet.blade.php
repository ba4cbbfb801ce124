<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>As-built sheet</title>
<style>
@page { margin: 16mm 14mm 18mm 14mm; }
body { font-family: "DejaVu Sans", sans-serif; font-size: 9.5pt; color: #000; line-height: 1.3; }
h1 { font-size: 16pt; margin: 0; }
h2 { font-size: 11pt; margin: 12pt 0 3pt; border-bottom: 1pt solid #000; padding-bottom: 2pt; }
table { width: 100%; border-collapse: collapse; }
th, td { text-align: left; padding: 3pt 5pt; border-bottom: .4pt solid #777; vertical-align: middle; }
th { font-size: 8pt; font-weight: bold; }
.n { font-family: "DejaVu Sans Mono", monospace; white-space: nowrap; }
.big { font-size: 13pt; font-weight: bold; }
.box { border: 1.2pt solid #000; padding: 5pt 7pt; margin: 6pt 0; }
.small { font-size: 8pt; }
.pic { text-align: center; margin: 6pt 0 0; }
li { margin-bottom: 1.5pt; }
ul { margin: 2pt 0 2pt 12pt; padding: 0; }
.drawing { page-break-inside: avoid; border: 1pt solid #000; padding: 4pt 6pt; margin: 6pt 0; }
.title td { border: .6pt solid #000; font-size: 8pt; }
.foot { position: fixed; bottom: -10mm; left: 0; right: 0; font-size: 7.5pt; }
</style>
</head>
<body>
<div class="foot">Oldpart Fit · {{ $facts->shop->name }} · sizes in {{ $unit->value === 'in' ? 'inches' : 'millimetres' }} at 20 °C · the tool advises, it does not certify</div>
@include('practice')
<h1>{{ $facts->machine === '' ? 'Job' : $facts->machine }}</h1>
<div>{{ $facts->part }} · {{ $facts->takeIn->quantity }} off @if($facts->takeIn->wantedBy) · wanted by {{ $facts->takeIn->wantedBy }} @endif @if($facts->handOver->finishedAt) · handed over {{ substr($facts->handOver->finishedAt, 0, 10) }} @endif</div>
@foreach($parts as $part)
@if($part['section'] || $part['face'])
<div class="drawing">
@if($part['section'])<div class="pic"><img src="{{ $part['section'] }}" style="width: {{ round($part['wide'], 1) }}mm" alt=""></div>@endif
@if($part['face'])<div class="pic"><img src="{{ $part['face'] }}" style="width: 100mm" alt=""></div>@endif
@if($part['other'])<div class="small"><b>The other hand</b>, one of it as well, marked so:</div><div class="pic"><img src="{{ $part['other'] }}" style="width: 100mm" alt=""></div>@endif
<table class="title"><tr><td colspan="2"><b>{{ $part['name'] }}</b><br>for {{ $facts->machine === '' ? 'the machine' : $facts->machine }}</td><td>of<br><b>{{ $part['material'] }}</b></td><td>how many<br><b>{{ $facts->takeIn->quantity }}@if($part['other']) as drawn, {{ $facts->takeIn->quantity }} of the other hand @endif</b></td></tr>
<tr><td>unit<br><b>{{ $unit->value === 'in' ? 'inches' : 'millimetres' }}, at 20 °C</b></td><td>what has no limits<br><b>ISO 2768-1 m</b></td><td>by<br><b>{{ $facts->shop->name }}</b></td><td>date<br><b>{{ now()->toDateString() }}</b></td></tr></table>
@if($part['unsaid'] !== [])<div class="small">Only sketched along the axis, nobody said where: {{ implode(', ', $part['unsaid']) }}.</div>@endif
<div class="small">Drawn to proportion: work to the figures, never scale it off. Sharp edges broken {{ \Oldpart\Core\Evaluate\Making\PartSteps::brokenEdge()->{$unit->value} }}. Heavy figures decide, light ones are free.</div>
</div>
@if($part['places'] !== [])<table class="title"><tr><td><b>where it is</b></td><td><b>x</b></td><td><b>y</b></td>@if($part['other'])<td><b>x, other hand</b></td>@endif</tr>@foreach($part['places'] as [$name, $x, $y, $other])<tr><td>{{ $name }}</td><td class="n">{{ $x }}</td><td class="n">{{ $y }}</td>@if($part['other'])<td class="n">{{ $other }}</td>@endif</tr>@endforeach</table>@endif
@endif
@endforeach
@if($issue)
<div class="box"><b>Sheet {{ $issue['number'] }}</b>, issued by {{ $issue['by'] }}. Checksum of the facts it stands on: <span class="n">{{ substr($issue['checksum'], 0, 16) }}</span>
@if($issue['number'] > 1)<br>@if($issue['changes'] === [])Nothing it says has changed since sheet {{ $issue['number'] - 1 }}.@else Since sheet {{ $issue['number'] - 1 }}: {{ implode(' ', $issue['changes']) }}@endif @endif</div>
@else
<div class="small">Not issued: it may change any time.</div>
@endif
@if($gates !== [])
<div class="box"><b>Work for licensed practice:</b> {{ implode('; ', array_map(fn ($g) => $g->says, $gates)) }}.
@if($acceptance) Responsibility accepted by {{ $acceptance->by }}{{ $acceptance->capacity === '' ? '' : ', '.$acceptance->capacity }}{{ $acceptance->at === null ? '' : ', on '.substr($acceptance->at, 0, 10) }}. @else Not accepted by anyone yet: no size is issued. @endif
Local codes and makers’ instructions come first.</div>
@elseif(! $facts->takeIn->gatesAnswered)
<div class="box">The safety question was not answered.</div>
@endif
@if($facts->takeIn->failed !== '')<div><b>What failed:</b> {{ $facts->takeIn->failed }}</div>@endif
@if($facts->takeIn->ifItFails !== '')<div><b>If it fails:</b> {{ $facts->takeIn->ifItFails }}</div>@endif
@if($facts->takeIn->cause)<div><b>Why:</b> {{ $facts->takeIn->cause->value }}. {{ $answers['survey']['cause_says'] }}</div>@endif
@if($picture)<div class="pic"><img src="{{ $picture }}" style="width: 150mm" alt=""></div>@endif
<h2>Sizes to make, and as made</h2>
<table>
<tr><th>surface</th><th>limits</th><th>as made</th><th>verdict</th></tr>
@foreach($answers['hand_over']['sizes'] as $row)
<tr><td>{{ $row['label'] }}</td><td class="n">@if($row['lower'])<span class="big">{{ $say($row['lower']) }} … {{ $say($row['upper']) }}</span>@else – @endif</td>
<td class="n">@if($row['made']){{ $say($row['made']) }} ±{{ $say($row['plus_minus']) }}@else – @endif</td><td>{{ $row['verdict_says'] }}@if($row['decided'])<br>{{ $row['decided']['says'] }}@if($row['decided']['at']) · {{ substr($row['decided']['at'], 0, 10) }}@endif @endif</td></tr>
@endforeach
</table>
@if($answers['batch'])
@php($measured = array_values(array_filter($answers['batch']['pieces'], fn ($one) => $one['sizes'] !== [] || $one['state'] === 'scrap')))
<h2>The batch</h2>
<div>{{ $answers['batch']['says'] }} @if($answers['batch']['every'] > 1)One of every {{ $answers['batch']['every'] }} was measured, besides the first and the last.@endif</div>
<table>
<tr><th>piece</th><th>sizes</th><th>it is</th></tr>
@foreach($measured as $one)
<tr><td>{{ $one['piece'] }}</td><td class="n">{{ implode('; ', array_map(fn ($size) => $size['label'].' '.$say($size['size']).($size['decided'] ? " ({$size['decided']})" : ''), $one['sizes'])) }}</td><td>{{ $one['says'] }}</td></tr>
@endforeach
</table>
@foreach($answers['batch']['mated'] as $mated)
<h2>{{ $mated['label'] }}: which goes with which</h2>
<div>Wanted {{ $say($mated['wanted']) }}. {{ $say($mated['says']) }}</div>
<table>
<tr><th>mate</th><th>its size</th><th>goes with</th><th>comes to</th></tr>
@foreach($mated['rows'] as $row)
<tr><td>{{ $row['mark'] }}</td><td class="n">{{ $say($row['size']) }} {{ $say($row['plus_minus']) }}</td><td>{{ $row['piece'] ? "piece {$row['piece']}" : '–' }}</td><td class="n">{{ $say($row['clearance']) }}</td></tr>
@endforeach
</table>
@endforeach
@endif
@foreach($answers['shaped'] as $i => $shape)
@if($shape['is'])
<h2>{{ $shape['name'] }}: {{ $say($shape['is']) }}</h2>
@if($shapes[$i])<div class="pic"><img src="{{ $shapes[$i] }}" style="width: 90mm" alt=""></div>@endif
<table>@foreach($shape['numbers'] as $number)<tr><td>{{ $number['name'] }}</td><td class="n">{{ $say($number['says']) }}</td><td>{{ $number['made'] ? $say($number['made']) : '' }}</td></tr>@endforeach</table>
@if($shape['cut'])<ul>@foreach([...$shape['sets'], ...$shape['checks']] as $step)<li>{{ $say($step) }}</li>@endforeach</ul>@endif
@endif
@endforeach
@foreach($reckoned as $sum)
<h2>{{ $sum['name'] }}</h2>
@if($sum['picture'])<div class="pic"><img src="{{ $sum['picture'] }}" style="width: 90mm" alt=""></div>@endif
<table>@foreach($sum['lines'] as [$name, $value])<tr><td>{{ $name }}</td><td class="n">{{ $value }}</td></tr>@endforeach</table>
@if($sum['steps'] !== [])<ol style="margin:2pt 0 0 14pt;padding:0">@foreach($sum['steps'] as $step)<li>{{ $step }}</li>@endforeach</ol>@endif
@foreach($sum['rounds'] as [$what, $line])<div>Before{{ $what === '' ? '' : ", {$what}" }}: {{ $line }}</div>@endforeach
@foreach($sum['notes'] as $note)<div class="small">{{ $note }}</div>@endforeach
@if($sum['note'] !== '')<div>{{ $sum['note'] }}</div>@endif
@endforeach
<h2>Fits</h2>
<table>
<tr><th>joint</th><th>wanted</th><th>achieved</th><th>verdict</th></tr>
@foreach($answers['hand_over']['fits'] as $row)
<tr><td>{{ $row['label'] }}</td><td class="n">{{ $say($row['wanted']) }}</td><td class="n">{{ $say($row['achieved']) }}</td><td>{{ $row['verdict_says'] }}@if($row['decided'])<br>{{ $row['decided']['says'] }}@if($row['decided']['at']) · {{ substr($row['decided']['at'], 0, 10) }}@endif @endif</td></tr>
@endforeach
</table>
@php($closed = array_filter($answers['loops'], fn ($row) => $row['closes_at'] !== null || $row['solved'] !== null || $answers['withheld'] && $row['rows'] !== []))
@if($closed !== [])
<h2>Lengths that add up</h2>
<table>
<tr><th>gap</th><th>wanted</th><th>closes at</th><th>at worst</th></tr>
@foreach($closed as $i => $row)
<tr><td>{{ $facts->loops[$i]->name }}</td><td class="n">@if($facts->loops[$i]->least)at least {{ $facts->loops[$i]->least->typed }} {{ $facts->loops[$i]->least->unit->value }}@endif @if($facts->loops[$i]->most)at most {{ $facts->loops[$i]->most->typed }} {{ $facts->loops[$i]->most->unit->value }}@endif</td>
@if($row['blocked'])<td colspan="2">{{ $say($row['blocked']) }}</td>@elseif($row['solved'])<td colspan="2"><b>{{ $say($row['solved']) }}</b></td>@else<td class="n">{{ $say($row['closes_at']) }}</td><td class="n">{{ $say($row['worst']) }}</td>@endif</tr>
@endforeach
</table>
@endif
@php($looked = array_filter($answers['clearances'], fn ($row) => $row['room'] !== null))
@if($looked !== [])
<h2>What has to clear</h2>
<table>
<tr><th>what</th><th>least room</th><th>±</th><th>verdict</th></tr>
@foreach($looked as $i => $row)
<tr><td>{{ $facts->clearances[$i]->name }}</td><td class="n">{{ $say($row['room']) }}</td><td class="n">{{ $say($row['doubt']) }}</td><td>@foreach($row['notes'] as $note){{ $say($note['say']) }} @endforeach</td></tr>
@endforeach
</table>
@endif
@if($answers['mistakes'] !== [])
<h2>Numbers that were wrong</h2>
<table>
<tr><th>number</th><th>was</th><th>is</th><th>why</th></tr>
@foreach($answers['mistakes'] as $i => $row)
<tr><td>{{ $row['name'] }}</td><td class="n">{{ $row['was'] ? $say($row['was']) : '' }}</td><td class="n">{{ $row['is'] ? $say($row['is']) : '' }}</td><td>{{ $row['cause'] }}{{ $facts->mistakes[$i]->note === '' ? '' : ': '.$facts->mistakes[$i]->note }}</td></tr>
@endforeach
</table>
@endif
@php($tried = [])
@foreach(['joints' => $facts->joints, 'loops' => $facts->loops] as $list => $named)
@foreach($answers[$list] as $i => $one)
@foreach(array_filter([$one['trials'] ?? null, $one['together'] ?? null]) as $seen)
@if($seen['rows'] !== [])@php($tried[] = [$named[$i]->name, $seen])@endif
@endforeach
@endforeach
@endforeach
@if($tried !== [])
<h2>Tried together</h2>
<table>
<tr><th>what</th><th>seen</th><th>so</th></tr>
@foreach($tried as [$name, $seen])
<tr><td>{{ $name }}</td><td>@foreach($seen['rows'] as $row){{ $say($row['says']) }}@if($row['at']) ({{ substr($row['at'], 0, 10) }})@endif @if(! $loop->last); @endif @endforeach</td><td>{{ $say($seen['mate'] ?? $seen['why'] ?? null) }}</td></tr>
@endforeach
</table>
@endif
<p><b>{{ $answers['hand_over']['says'] }}</b></p>
<h2>Found sizes</h2>
<table>
<tr><th>surface</th><th>size</th><th>±U95</th><th>tightest / widest</th><th>form</th><th>readings</th></tr>
@foreach($answers['surfaces'] as $s)
@if($s['found'])
<tr><td>{{ $s['name'] }}</td><td class="n">{{ $say($s['found']['size']) }}</td><td class="n">{{ $say($s['found']['plus_minus']) }}</td>
<td class="n">{{ $say($s['found']['mating']) }} / {{ $say($s['found']['loose']) }}</td><td>@foreach($s['found']['form'] as $row){{ $row['name'] }} {{ $say($row['says']) }}@if(! $loop->last); @endif @endforeach</td><td>{{ $s['found']['count'] }}</td></tr>
@endif
@endforeach
</table>
<h2>Materials</h2>
<ul>@foreach($facts->parts as $part)<li>{{ $part->name }}: {{ $part->material ?? 'not named' }} ({{ $part->origin->value === 'make' ? 'made' : $part->origin->value }})</li>@endforeach</ul>
@if($answers['plan'] !== [])
<h2>Order of work</h2>
<ol style="margin:2pt 0 0 14pt;padding:0">@foreach($answers['plan'] as $step)<li>{{ $say($step['do']) }} <span class="small">{{ $step['why'] }}</span></li>@endforeach</ol>
@endif
@if($answers['assembly']['force'])
<h2>Pressing in</h2>
<div>Force at full depth: {{ $answers['assembly']['force']['least'] }} to {{ $answers['assembly']['force']['most'] }}; the shop’s press gives {{ $answers['assembly']['force']['press'] }}.</div>
@endif
<h2>Cautions</h2>
<ul>@foreach($answers['survey']['hints'] as $hint)<li>{{ $say($hint['say']) }}</li>@endforeach @foreach($notes as $note)<li><b>{{ $note['say'] }}</b></li>@endforeach @foreach($cautions as $caution)<li>{{ $caution->says }}</li>@endforeach
<li>Local codes, makers’ instructions and licensed practice come before this sheet.</li></ul>
@php($assembly = $facts->assembly)
@if($assembly->strip !== [])
<h2>As it came apart</h2>
<ol style="margin:2pt 0 0 14pt;padding:0">
@foreach($assembly->strip as $i => $off)
<li>{{ implode(', ', array_filter([$off->name, $off->how->value, $off->forceN === null ? '' : number_format($off->forceN).' N', $off->heatC === null ? '' : number_format($off->heatC).' °C', $off->depth === null ? '' : 'sat '.$off->depth->typed.' '.$off->depth->unit->value.' deep', $off->mark === '' ? '' : "marked {$off->mark}", $off->bag === '' ? '' : "bag {$off->bag}", $off->note])) }}@if($answers['assembly']['together']['came_off'][$i]). {{ $say($answers['assembly']['together']['came_off'][$i]) }}@endif</li>
@endforeach
</ol>
@endif
@if($answers['assembly']['together']['ordered'])
<h2>Order of assembly</h2>
<ol style="margin:2pt 0 0 14pt;padding:0">
@foreach($answers['assembly']['together']['items'] as $item)
<li><b>{{ $item['name'] }}</b>@foreach($item['how'] as $how) {{ $say($how) }}@endforeach @if($item['ticked'])✓@endif @if($item['failed'])<b>Not right: {{ $item['failed'] }}</b>@endif</li>
@endforeach
</ol>
@endif
@if($assembly->setbacks !== [])
<h2>What went wrong on the way</h2>
<ul style="margin:2pt 0 0 14pt;padding:0">@foreach($assembly->setbacks as $one)<li>{{ $one->at === null ? '' : substr($one->at, 0, 10).': ' }}{{ rtrim($one->step, '.') }}: {{ $one->why }}</li>@endforeach</ul>
@endif
@if($assembly->checks !== [])
<h2>Measured after</h2>
<table>
<tr><th>check</th><th>wanted</th><th>found</th><th>verdict</th></tr>
@foreach($assembly->checks as $check)
<tr><td>{{ $check->name }}</td><td class="n">{{ trim(($check->least === '' ? '' : "from {$check->least}").($check->most === '' ? '' : " to {$check->most}")." {$check->unit}") }}</td><td class="n">{{ $check->found === '' ? '–' : trim("{$check->found} {$check->unit}") }}</td><td>{{ ['good' => 'as wanted', 'bad' => 'not as wanted', 'found' => 'found', 'open' => 'not done'][$check->verdict()] }}@if($check->note !== ''). {{ $check->note }}@endif</td></tr>
@endforeach
</table>
@endif
@if($assembly->runs !== [])
<h2>First run</h2>
@if($answers['assembly']['together']['run'])<div>{{ $say($answers['assembly']['together']['run']['says']) }}@if($assembly->limitC !== null) No warmer than {{ number_format($assembly->limitC) }} °C was wanted.@endif</div>@endif
<table>
<tr><th>after</th><th>at</th><th>warm</th><th>seen, heard</th></tr>
@foreach($assembly->runs as $run)
<tr><td class="n">{{ number_format($run->minute) }} min</td><td class="n">{{ $run->rpm === null ? '' : number_format($run->rpm).' rev/min' }}</td><td class="n">{{ $run->celsius === null ? '' : number_format($run->celsius, 1).' °C' }}</td><td>{{ $run->note }}</td></tr>
@endforeach
</table>
@endif
@if($answers['hand_over']['hands'] !== [])
<h2>Who did it</h2>
<table>@foreach($answers['hand_over']['hands'] as $row)<tr><td><b>{{ $row['by'] }}</b></td><td>{{ implode('; ', $row['did']) }}</td></tr>@endforeach</table>
@endif
@if($facts->handOver->serviceOn)<h2>To be looked at again</h2><div>{{ $facts->handOver->serviceOn }}</div>@endif
@if($facts->handOver->nextTime !== '')<h2>Next time</h2><div>{{ $facts->handOver->nextTime }}</div>@endif
</body>
</html>
