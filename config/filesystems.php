<?php

declare(strict_types=1);

return [
    'disks' => [
        // Nothing of it is given out by its name.
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true],
    ],
];
