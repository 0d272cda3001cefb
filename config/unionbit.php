<?php

return [
    // Signs the demo installer in without a password. Set by bin/demo only; refused unless the server is bound to
    // the loopback address.
    'solo' => (bool) env('UNIONBIT_SOLO', false),

    // Proxies that end TLS before the application, by address or network, separated by commas: what they say of the
    // caller and of TLS is believed. Nobody else's word is.
    'trusted_proxies' => array_values(
        array_filter(array_map(trim(...), explode(',', (string) env('TRUSTED_PROXIES', '')))),
    ),

    // The catalogue of equipment and thermostats.
    'catalog' => base_path('catalog'),

    // The folder in public that the built interface stands in: another one for the pseudo-language of the tests.
    'build' => env('UNIONBIT_BUILD', 'build'),

    // In the environment of the browser tests: the file, in storage/framework, that says how far the clock is ahead.
    'clock' => env('UNIONBIT_CLOCK', 'clock-offset'),

    // Where backups stand, one folder each; on another disk, or carried to one.
    'backups' => env('UNIONBIT_BACKUPS', storage_path('backups')),

    // The public key of age (age1…) that backups are sealed to; empty for none. Its other half belongs off this server.
    'backup_to' => (string) env('UNIONBIT_BACKUP_TO', ''),

    // When one is made by the scheduler, by the server's clock; empty for never.
    'backup_at' => env('UNIONBIT_BACKUP_AT', '02:30'),

    // Where tries at the doors are counted, where the database is SQLite.
    'limits' => env('LIMITS_FILE', storage_path('framework/limits.sqlite')),

    // Whoever asks for the health page or the figures from another machine says this; empty for nobody.
    'health_token' => (string) env('UNIONBIT_HEALTH_TOKEN', ''),

    // "Proved dead" lapses after this many minutes.
    'isolated_minutes' => 30,
];
