<?php

declare(strict_types=1);

/*
 * Stands in for symfony/clock and symfony/polyfill-php85, which not every package mirror carries and which
 * composer.json therefore names under "replace". Only what Laravel and Carbon use is here; once both packages
 * can be had everywhere, this file and the entries under "replace" go.
 */

namespace Symfony\Component\Clock {
    use DateTimeImmutable;
    use DateTimeZone;

    if (! interface_exists(ClockInterface::class)) {
        interface ClockInterface extends \Psr\Clock\ClockInterface
        {
            public function sleep(float|int $seconds): void;

            public function withTimeZone(DateTimeZone|string $timezone): static;
        }

        final class NativeClock implements ClockInterface
        {
            private DateTimeZone $timezone;

            public function __construct(DateTimeZone|string|null $timezone = null)
            {
                $timezone ??= date_default_timezone_get();
                $this->timezone = is_string($timezone) ? new DateTimeZone($timezone) : $timezone;
            }

            public function now(): DateTimeImmutable
            {
                return new DateTimeImmutable('now', $this->timezone);
            }

            public function sleep(float|int $seconds): void
            {
                usleep((int) ($seconds * 1_000_000));
            }

            public function withTimeZone(DateTimeZone|string $timezone): static
            {
                return new self($timezone);
            }
        }
    }
}

namespace {
    if (! function_exists('array_first')) {
        function array_first(array $array): mixed
        {
            foreach ($array as $value) {
                return $value;
            }

            return null;
        }
    }

    if (! function_exists('array_last')) {
        function array_last(array $array): mixed
        {
            return $array === [] ? null : end($array);
        }
    }

    if (! function_exists('get_error_handler')) {
        function get_error_handler(): ?callable
        {
            $handler = set_error_handler(null);
            restore_error_handler();

            return $handler;
        }
    }

    if (! function_exists('get_exception_handler')) {
        function get_exception_handler(): ?callable
        {
            $handler = set_exception_handler(null);
            restore_exception_handler();

            return $handler;
        }
    }
}
