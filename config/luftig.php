<?php

return [
    /* Fills an empty database with the demo scenario, and offers one-click sign-in. On one's own machine only. */
    'demo' => (bool) env('LUFTIG_DEMO', false) && in_array(env('APP_ENV'), ['local', 'testing'], true),

    /* A time that stands still, for tests and pictures; `php artisan luftig:clock` sets one for the running app. */
    'clock_file' => env('LUFTIG_CLOCK_FILE', storage_path('framework/clock')),

    /* Where files that were brought are kept, in UTF-8. */
    'intakes' => env('LUFTIG_INTAKES', storage_path('app/intakes')),

    /* Where the Finder's indexes are; they are derived, and may be deleted at any time. */
    'finder' => env('LUFTIG_FINDER', storage_path('app/finder')),

    /* By what technologies are known on pages: those that ship, and the team's own. */
    'fingerprints' => [database_path('fingerprints.json'), storage_path('app/fingerprints.json')],

    /* Days for which what feeds brought is kept as it came; as it was read it stays, with the signals it made. */
    'raw_days' => (int) env('LUFTIG_RAW_DAYS', 90),

    /* Days for which the log says who did what. */
    'log_days' => (int) env('LUFTIG_LOG_DAYS', 730),

    /* Up to so many accounts all are compared for likeness; of more, those that share phrases. */
    'alike_all' => 3000,

    /* Whether a page is shown again as it was while nothing was written that it was made from. */
    'keep_pages' => (bool) env('LUFTIG_KEEP_PAGES', true),

    'upload_megabytes' => 128,

    /* Where ./luftig backup writes down when it did. */
    'backed_up' => storage_path('app/last-backup'),

    /* Whether leads and admins have to sign in with a code beside their password. */
    'leads_code' => (bool) env('LUFTIG_LEADS_CODE', false),

    /* Hours after which everybody signs in again, also who stays signed in; 0: two hours of rest end a sign-in. */
    'sign_in_hours' => (int) env('LUFTIG_SIGN_IN_HOURS', 0),

    /* What a program that watches shows to read /metrics; without one nobody reads them. */
    'metrics_key' => (string) env('LUFTIG_METRICS_KEY', ''),

    /* So long an outside service that finds addresses has for an answer. */
    'look_up_seconds' => 8,

    /* The simulated outside world, on loopback; no other machine of a private network is asked. */
    'standins' => (bool) env('LUFTIG_DEMO', false) && env('LUFTIG_STANDINS_PORT') !== null
        ? ['127.0.0.1:'.env('LUFTIG_STANDINS_PORT')] : [],

    /* What the stand-ins tell of; the demo writes it. */
    'world' => env('LUFTIG_WORLD', storage_path('app/world')),

    /* Units of a currency for one EUR, as stated on the day. Amounts keep their own currency beside the EUR value. */
    'rates' => [
        'day' => '2026-11-02',
        'per_eur' => [
            'EUR' => 1.0, 'SEK' => 11.20, 'NOK' => 11.70, 'DKK' => 7.46, 'PLN' => 4.26, 'CZK' => 24.60,
            'GBP' => 0.86, 'USD' => 1.12, 'CHF' => 0.94,
        ],
    ],
];
