<!doctype html>
<html lang="{{ str_replace('_', '-', app()->getLocale()) }}">
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
<p class="m">
    {{ $page['job']['address'] }} · {{ $page['job']['kind'] }} · {{ $page['crew'] }} ·
    {{ $handedOver ?? $say('not-handed-over') }}
</p>
@foreach ($marks as $line)
    <p class="b"><b>{{ $line }}</b></p>
@endforeach
@if ($page['customer'])
    <h2>{{ $say('for-the-customer') }}</h2>
    <p>{{ $page['customer'] }}</p>
@endif

<h2>{{ $say('equipment-and-thermostat') }}</h2>
<table>
    @foreach ($page['facts'] as $fact)
        <tr>
            <td class="m">{{ $fact['label'] }}</td>
            <td>{{ $fact['value'] }}</td>
        </tr>
    @endforeach
    <tr>
        <td class="m">{{ $say('thermostat') }}</td>
        <td>{{ $page['thermostat'] ?? $say('not-chosen') }}</td>
    </tr>
</table>

<h2>{{ $say('wiring') }}</h2>
<table>
    <tr>
        <th>{{ $say('conductor') }}</th>
        <th>{{ $say('wall-before') }}</th>
        <th>{{ $say('wall-now') }}</th>
        <th>{{ $say('board-before') }}</th>
        <th>{{ $say('board-now') }}</th>
        <th>{{ $say('how-we-know') }}</th>
    </tr>
    @foreach ($page['wiring'] as $row)
        <tr>
            <td>{{ $row['number'] }} {{ $row['colourWord'] }}</td>
            <td>{{ $row['before'] }}</td>
            <td><b>{{ $row['after'] }}</b></td>
            <td>{{ $row['boardBefore'] }}</td>
            <td><b>{{ $row['board'] }}</b></td>
            <td class="m">{{ implode(', ', [...$row['condition'], $row['evidence']]) }}</td>
        </tr>
    @endforeach
    @foreach ($page['beside'] as $row)
        <tr>
            <td>{{ $row['label'] }}</td>
            <td>{{ $row['wall_before'] }}</td>
            <td><b>{{ $row['wall'] }}</b></td>
            <td>{{ $row['board_before'] }}</td>
            <td><b>{{ $row['board'] }}</b></td>
            <td class="m">{{ $row['meaning'] }}</td>
        </tr>
    @endforeach
</table>

<h2>{{ $say('settings') }}</h2>
<table>
    @foreach ($page['settings'] as $row)
        <tr>
            <td>{{ $row['label'] }}</td>
            <td><b>{{ $row['value'] ?? $say('not-entered') }}</b></td>
            <td class="n m">{{ $row['at'] === null ? '' : $day($row['at']) }}</td>
            <td class="m">{{ $row['reason'] }}</td>
        </tr>
    @endforeach
</table>

<h2>{{ $say('readings') }}</h2>
<table>
    @foreach ($proofs as $proof)
        @foreach ($proof['readings'] as $reading)
            <tr>
                <td class="n">{{ trim($proof['call'].' '.lcfirst($proof['method'])) }}</td>
                <td class="n">{{ $pair($reading) }}</td>
                <td class="n"><b>{{ $reading['value'] ?? 'OL' }} {{ $reading['unit'] }}</b></td>
                <td>
                    {{ implode(', ', array_filter([
                        $outcome($reading['outcome']),
                        $reading['simulated'] ? $say('simulated') : null,
                        $reading['fromFile'] === null ? null : $say('from-the-file'),
                    ])) }}
                </td>
                <td class="m">{{ $reading['reason'] }}</td>
            </tr>
        @endforeach
    @endforeach
</table>

@if ($page['baseline'] !== [])
    <h2>{{ $say('as-found-before-the-work') }}</h2>
    @foreach ($page['baseline'] as $row)
        <p>{{ $say('as-found-call', call: $row['call'], state: $row['state']) }}. {{ $row['told'] }}</p>
    @endforeach
@endif
@if ($worth !== [])
    <h2>{{ $say('what-the-proofs-are-worth') }}</h2>
    @foreach ($worth as $line)
        <p>{{ $line }}</p>
    @endforeach
@endif

@if ($page['loads'] !== [] || $page['measurements'] !== [])
    <h2>{{ $say('loads-and-air') }}</h2>
    <table>
        @foreach ($page['loads'] as $row)
            <tr>
                <td class="n">{{ $row['label'] }}</td>
                <td class="n">{{ isset($row['read']['volts']['value']) ? $row['read']['volts']['value'].' V' : '' }}</td>
                <td class="n">{{ isset($row['read']['amps']['value']) ? $row['read']['amps']['value'].' A' : '' }}</td>
                <td class="m">{{ $row['verdict']['reason'] ?? '' }}</td>
            </tr>
        @endforeach
        @foreach ($page['measurements'] as $row)
            <tr>
                <td class="n">{{ $row['title'] }}</td>
                <td class="n" colspan="2">{{ $row['callLabel'] ?? '' }}</td>
                <td>{{ $row['verdict'] }} {{ $row['simulated'] ? '('.$say('simulated').')' : '' }}</td>
            </tr>
        @endforeach
    </table>
@endif

@if ($page['unexplained'] !== [])
    <h2>{{ $say('unexplained-readings') }}</h2>
    @foreach ($page['unexplained'] as $row)
        <p>
            {{ $pair($row) }} <b>{{ $row['value'] ?? 'OL' }} {{ $row['unit'] }}</b>:
            {{ $row['unexplained'] ? $say('unexplained') : $say('explained', note: $row['note']) }}.
            <span class="m">{{ $row['reason'] }}</span>
        </p>
    @endforeach
@endif
@if ($page['waived'] !== [])
    <h2>{{ $say('left-out-with-the-reason') }}</h2>
    @foreach ($page['waived'] as $row)
        <p>{{ $row['call'] }}: {{ $row['reason'] }}</p>
    @endforeach
@endif

<h2>{{ $say('figures') }}</h2>
@foreach ($page['figures'] as $row)
    <p><b>{{ $row['title'] }}.</b> {{ $row['verdict'] }}</p>
@endforeach

<h2>{{ $say('open-matters') }}</h2>
@foreach ($page['restore'] as $item)
    <p>{{ $say('put-back', item: $item) }}</p>
@endforeach
@foreach ($page['open'] as $item)
    <p>{{ $item }}</p>
@endforeach
@if ($page['restore'] === [] && $page['open'] === [])
    <p>{{ $say('nothing-left-open') }}</p>
@endif

<h2>{{ $say('signed') }}</h2>
<table>
    <tr>
        @foreach ($signatures as $signature)
            <td>
                <img alt="" width="200" height="80" src="{{ $signature['drawing'] }}"><br>
                {{ $signature['line'] }}
            </td>
        @endforeach
    </tr>
</table>
<p class="m">{{ $say('expected-readings-are-computed-from-the') }}</p>
</body>
</html>
