<?php

declare(strict_types=1);

return ['channels' => ['mail' => ['driver' => 'single', 'path' => storage_path('logs/mail.log')]]];
