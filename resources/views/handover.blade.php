<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $page['job']['site'] }}</title>
<style>
    @page { margin: 16mm 15mm; }
    body { font: 10px/1.45 "DejaVu Sans", sans-serif; color: #16211f; }
    h1 { font-size: 18px; margin: 0; }
    h2 { font-size: 12.5px; margin: 14px 0 4px; border-bottom: 1px solid #16211f; }
    p { margin: 2px 0; }
    table { width: 100%; border-collapse: collapse; }
    td, th { text-align: left; padding: 2px 6px 2px 0; border-bottom: 0.5px solid #c9c4b8; vertical-align: top; }
    .m { color: #5a6461; }
    .n { white-space: nowrap; }
    .b { border: 1px solid #16211f; padding: 3px 6px; }
</style>
</head>
<body>
<h1>{{ $page['job']['site'] }}{{ $page['job']['system'] === 'System' ? '' : ', '.$page['job']['system'] }}</h1>
<p class="m">{{ $page['job']['address'] }} · {{ $page['job']['kind'] }} · {{ $page['crew'] }} · {{ $job->handed_over_at?->format('j M Y H:i') ?? 'not handed over' }}</p>
@foreach (array_filter([
    $page['job']['mark'], $page['simulated'],
    $page['job']['importedAt'] === null ? null : 'Read from a job file on '.\Illuminate\Support\Carbon::parse($page['job']['importedAt'])->format('j M Y').': records, names, signatures and handover are as that file says.',
    $job->handed_over_at !== null && $page['unsigned'] !== [] ? 'Handed over without the signature of the '.implode(' and the ', $page['unsigned']).'.' : null,
]) as $line)<p class="b"><b>{{ $line }}</b></p>@endforeach
@if ($page['customer'])<h2>For the customer</h2><p>{{ $page['customer'] }}</p>@endif
<h2>Equipment and thermostat</h2>
<table>@foreach ([...$page['facts'], ['label' => 'Thermostat', 'value' => $page['thermostat'] ?? 'not chosen']] as $fact)<tr><td class="m">{{ $fact['label'] }}</td><td>{{ $fact['value'] }}</td></tr>@endforeach</table>
<h2>Wiring</h2>
<table><tr><th>Conductor</th><th>Wall before</th><th>Wall now</th><th>Board</th><th>Known by</th></tr>
@foreach ($page['wiring'] as $row)<tr><td>{{ $row['number'] }} {{ $row['colour'] }}</td><td>{{ $row['before'] }}</td><td><b>{{ $row['after'] }}</b></td><td>{{ $row['board'] }}</td><td class="m">{{ $row['evidence'] }}</td></tr>@endforeach
</table>
@if ($page['link'])<p>{{ $page['link'] }}.</p>@endif
<h2>Settings</h2>
<table>@foreach ($page['settings'] as $row)<tr><td>{{ $row['label'] }}</td><td><b>{{ $row['value'] ?? 'not entered' }}</b></td><td class="m">{{ $row['reason'] }}</td></tr>@endforeach</table>
<h2>Readings</h2>
<table>
@foreach ([['call' => 'Survey', 'method' => '', 'readings' => $page['survey']], ...$page['proofs']] as $proof)
@foreach ($proof['readings'] as $reading)
<tr><td class="n">{{ trim($proof['call'].' '.lcfirst($proof['method'])) }}</td><td class="n">{{ $reading['a'] }} – {{ $reading['b'] }}</td><td class="n"><b>{{ $reading['value'] ?? 'OL' }} {{ $reading['unit'] }}</b></td><td>{{ $reading['outcome'] }}{{ $reading['simulated'] ? ', simulated' : '' }}{{ $reading['fromFile'] === null ? '' : ', from the file' }}</td><td class="m">{{ $reading['reason'] }}</td></tr>
@endforeach
@endforeach
</table>
@if ($page['loads'] !== [] || $page['measurements'] !== [])<h2>Loads and air</h2>
<table>
@foreach ($page['loads'] as $row)<tr><td class="n">{{ $row['label'] }}</td><td class="n">{{ isset($row['read']['volts']['value']) ? $row['read']['volts']['value'].' V' : '' }}</td><td class="n">{{ isset($row['read']['amps']['value']) ? $row['read']['amps']['value'].' A' : '' }}</td><td class="m">{{ $row['verdict']['reason'] ?? '' }}</td></tr>@endforeach
@foreach ($page['measurements'] as $row)<tr><td class="n">{{ $row['title'] }}</td><td class="n" colspan="2">{{ $row['callLabel'] ?? '' }}</td><td>{{ $row['verdict'] }}{{ $row['simulated'] ? ' (simulated)' : '' }}</td></tr>@endforeach
</table>@endif
@if ($page['unexplained'] !== [])<h2>Unexplained readings</h2>
@foreach ($page['unexplained'] as $row)<p>{{ $row['a'] }} – {{ $row['b'] }} <b>{{ $row['value'] ?? 'OL' }} {{ $row['unit'] }}</b>: {{ $row['unexplained'] ? 'unexplained' : 'explained: '.$row['note'] }}. <span class="m">{{ $row['reason'] }}</span></p>@endforeach @endif
@if ($page['waived'] !== [])<h2>Left out, with the reason</h2>@foreach ($page['waived'] as $row)<p>{{ $row['call'] }}: {{ $row['reason'] }}</p>@endforeach @endif
<h2>Figures</h2>
@foreach ($page['figures'] as $row)<p><b>{{ $row['title'] }}.</b> {{ $row['verdict'] }}</p>@endforeach
<h2>Open matters</h2>
@forelse ([...array_map(fn ($item) => "Put back: {$item}", $page['restore']), ...$page['open']] as $item)<p>{{ $item }}</p>@empty<p>Nothing left open.</p>@endforelse
<h2>Signed</h2>
<table><tr>@foreach ($page['signatures'] as $signature)<td>
@php($paths = implode('', array_map(fn ($stroke) => 'M'.implode('L', array_map(fn ($p) => ($p[0] / 5).' '.($p[1] / 12.5), $stroke)), $signature['strokes'])))
<img alt="" width="200" height="80" src="data:image/svg+xml;base64,{{ base64_encode('<svg xmlns="http://www.w3.org/2000/svg" width="200" height="80"><path d="'.$paths.'" fill="none" stroke="#16211f" stroke-width="1.6"/></svg>') }}"><br>{{ $signature['name'] }}, {{ $signature['role'] }}, {{ \Illuminate\Support\Carbon::parse($signature['at'])->format('j M Y H:i') }}{{ $signature['simulated'] ? ', simulated' : '' }}
</td>@endforeach</tr></table>
<p class="m">Expected readings are computed from the circuit of this house. Nameplates, the makers' instructions, local code and licensed practice come first.</p>
</body>
</html>
