<?php

declare(strict_types=1);

namespace Unionbit\Core\Thermostat;

use Unionbit\Core\Data\InvalidData;
use Unionbit\Core\Terminal\Place;
use Unionbit\Core\Terminal\TerminalName;
use Unionbit\Core\Terminal\Vocabulary;
use Unionbit\Core\Words\Message;

/** A profile from what a person reads off a plate and its box: the letters in a line, and a few facts. */
final class ProfileDraft
{
    private const HEATING = [TerminalName::W1, TerminalName::W2, TerminalName::Aux, TerminalName::E];

    /** Settings that every thermostat has in some words; the trade's own words until the menu is known. */
    private const MENU = [
        'fan-in-heat' => [
            'label' => 'Fan with heat',
            'choices' => ['none' => 'None', 'equipment' => 'Equipment', 'thermostat' => 'Thermostat'],
        ],
        'compressor-off' => [
            'label' => 'Compressor off time',
            'choices' => ['120' => '2 min', '240' => '4 min', '300' => '5 min'],
        ],
    ];

    /**
     * @param  array{title: string, screws: string, power: string, va: float, remote: string, switches: string,
     *     link: string, heat: int, cool: int, menuEntry: string}  $given  screws as printed, apart by blanks
     * @return array<string, mixed> the profile as a file, without its id
     *
     * @throws InvalidData
     */
    public static function json(array $given): array
    {
        $printed = preg_split('/[\s,]+/', trim($given['screws']), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $named = [];
        foreach ($printed as $letter) {
            $terminal = Vocabulary::resolve($letter, Place::Wall, true);
            $named[] = [
                $letter,
                $terminal->name ??
                throw InvalidData::notAllowed('/screws', $letter, Message::of('thermostat.profile-draft.letters')),
            ];
        }
        $hots = array_values(array_filter($named, static fn (array $n): bool => $n[1]->isHot()));
        $first =
            $hots[0][0] ??
            throw InvalidData::notAllowed('/screws', $given['screws'], Message::of('thermostat.profile-draft.hot'));
        $of = static fn (TerminalName $name): ?string => array_values(
            array_filter($hots, static fn (array $h): bool => $h[1] === $name),
        )[0][0] ?? null;
        [$cooling, $heating] = [$of(TerminalName::Rc) ?? $first, $of(TerminalName::Rh) ?? $first];
        $valve =
            array_filter(
                $named,
                static fn (array $n): bool => in_array(
                    $n[1],
                    [TerminalName::O, TerminalName::B, TerminalName::OB],
                    true,
                ),
            ) !== [];
        $types = [
            'conventional' => 'Conventional',
            ...$valve ? ['heat-pump' => 'Heat pump', 'dual-fuel' => 'Dual fuel'] : [],
            'heat-only' => 'Heat only',
            'cool-only' => 'Cool only',
        ];

        return [
            'title' => trim($given['title']),
            'terminals' => array_map(
                static fn (array $n): array => [
                    'printed' => $n[0],
                    'name' => $n[1]->value,
                    ...$n[1]->isCall() ? ['hot' => in_array($n[1], self::HEATING, true) ? $heating : $cooling] : [],
                ],
                $named,
            ),
            'link' => count($hots) > 1
                    ? ['kind' => $given['link'], 'between' => [$cooling, $heating]]
                    : ['kind' => 'none'],
            'stages' => ['heat' => $given['heat'], 'cool' => $given['cool']],
            'heatPump' => $valve,
            'switches' => $given['switches'],
            'power' => [
                'kind' => $given['power'],
                ...$given['power'] === 'battery' ? [] : ['from' => $cooling, 'va' => $given['va']],
                ...$given['power'] === 'shared'
                    ? [
                        'charges' => array_values(
                            array_filter($named, static fn (array $n): bool => $n[1] === TerminalName::Y1),
                        )[0][0] ?? 'Y',
                    ]
                    : [],
            ],
            'remoteControl' => $given['remote'],
            ...trim($given['menuEntry']) === '' ? [] : ['menuEntry' => trim($given['menuEntry'])],
            'menu' => [
                'equipment-type' => ['label' => 'System type', 'choices' => $types],
                ...self::MENU,
                ...$valve
                    ? [
                        'reversing-valve' => [
                            'label' => 'Changeover valve',
                            'choices' => ['O' => 'O, with cooling', 'B' => 'B, with heating'],
                        ],
                    ]
                    : [],
            ],
        ];
    }
}
