@if ($facts->practice !== null)
<div style="border: 2.5pt solid #000; padding: 5pt 7pt; margin: 0 0 8pt; font-weight: bold">PRACTICE on simulated parts. Nothing here is of a real part: do not cut, fit or quote by it.</div>
@endif
