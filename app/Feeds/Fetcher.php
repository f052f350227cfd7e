<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Support\Format;
use GuzzleHttp\Exception\TransferException;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\RequestException;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;
use Throwable;

/** Asks a source over the web: once, within limits, and of nothing but itself. */
final class Fetcher
{
    private const REDIRECTS = 3;

    /** Answers that name another address; that nothing has changed (304) is none of them. */
    private const REDIRECT = [301, 302, 303, 307, 308];

    private const CONNECT_SECONDS = 5;

    private const LONGEST_WAIT = 86_400;

    public function __construct(private readonly int $mostBytes = 200_000_000, private readonly int $seconds = 60)
    {
    }

    /**
     * @param  array<string, string>  $conditions  etag and last-modified of the state that is known already
     *
     * @throws Unreachable with a sentence
     */
    public function get(string $address, array $conditions = []): Fetched
    {
        $first = $site = Site::of($address);
        for ($redirects = 0; $redirects <= self::REDIRECTS; $redirects++) {
            [$response, $path] = $this->ask($address, $site, $conditions);
            if (! in_array($response->status(), self::REDIRECT, true)) {
                return $this->answer($address, $response, $path);
            }
            @unlink($path);
            $address = self::absolute($response->header('Location'), $address);
            $site = Site::of($address);
            if (! $first->isSame($site)) {
                throw new Unreachable("It sends us on to {$site->host}, another site, which is not followed.");
            }
        }
        throw new Unreachable('It sends us on again and again.');
    }

    /**
     * Sends an object as JSON, and reads the object that comes back. What is asked is never sent on to another address.
     *
     * @param  array<string, string>  $says
     * @param  array<string, string>  $headers
     * @return array<array-key, mixed>
     *
     * @throws Unreachable with a sentence
     */
    public function post(string $address, array $says, array $headers = []): array
    {
        [$response, $path] = $this->ask($address, Site::of($address), [], $says, $headers);
        $read = json_decode($this->answer($address, $response, $path)->text(), true);

        return is_array($read) ? $read : throw new Unreachable('What it answers cannot be read.');
    }

    /**
     * Sends bytes as they are; any answer that says they were taken is good.
     *
     * @param  array<string, string>  $headers  with the Content-Type
     *
     * @throws Unreachable with a sentence
     */
    public function send(string $address, string $body, array $headers): void
    {
        [$response, $path] = $this->ask($address, Site::of($address), [], $body, $headers);
        @unlink($path);
        if (! $response->successful()) {
            throw new Unreachable("It answers {$response->status()}.");
        }
    }

    /** An address that stands in an answer, seen from where it stands. */
    public static function absolute(string $address, string $from): string
    {
        if (preg_match('~^https?://~i', $address) === 1) {
            return $address;
        }
        $parts = parse_url($from);
        $port = isset($parts['port']) ? ":{$parts['port']}" : '';
        $root = ($parts['scheme'] ?? 'http').'://'.($parts['host'] ?? '').$port;

        return match (true) {
            str_starts_with($address, '//') => ($parts['scheme'] ?? 'http').':'.$address,
            str_starts_with($address, '/') => $root.$address,
            str_starts_with($address, '?') => $root.($parts['path'] ?? '/').$address,
            default => $root.preg_replace('~[^/]*$~', '', $parts['path'] ?? '/').$address,
        };
    }

    /**
     * @param  array<string, string>  $conditions
     * @param  array<string, string>|string|null  $says  what is posted, as JSON or as it is
     * @param  array<string, string>  $headers
     * @return array{Response, string}
     */
    private function ask(
        string $address,
        Site $site,
        array $conditions,
        array|string|null $says = null,
        array $headers = [],
    ): array {
        $path = (string) tempnam(sys_get_temp_dir(), 'luftig-feed-');
        $tooMuch = false;
        try {
            $request = Http::withHeaders($headers + array_filter([
                'User-Agent' => 'Luftig', 'If-None-Match' => $conditions['etag'] ?? null,
                'If-Modified-Since' => $conditions['last-modified'] ?? null,
            ]))->withOptions([
                'allow_redirects' => false, 'sink' => $path, 'connect_timeout' => self::CONNECT_SECONDS,
                'timeout' => $this->seconds,
                // The machine that was looked at is the one that is asked, whatever its name means a moment later.
                'curl' => [CURLOPT_RESOLVE => ["{$site->host}:{$site->port}:{$site->ip}"]],
                'progress' => function (int $whole, int $loaded) use (&$tooMuch): void {
                    if (max($whole, $loaded) > $this->mostBytes) {
                        $tooMuch = true;
                        throw new TransferException('too much');
                    }
                },
            ]);

            return [match (true) {
                $says === null => $request->get($address),
                is_string($says) => $request->withBody($says, $headers['Content-Type'])->post($address),
                default => $request->asJson()->post($address, $says),
            }, $path];
        } catch (Throwable $e) {
            @unlink($path);
            $says = strtolower($e->getMessage());
            throw match (true) {
                $tooMuch => new Unreachable(
                    'It sends more than '.Format::number(intdiv($this->mostBytes, 1_000_000)).' MB, which is not read.',
                ),
                str_contains($says, 'timed out') => new Unreachable(
                    "It is too slow: no whole answer within {$this->seconds} seconds.",
                ),
                // An answer that broke off after it had said what it is.
                $e instanceof RequestException, str_contains($says, 'transfer closed'),
                str_contains($says, 'curl error 18') => new Unreachable(
                    'The connection was cut in the middle; what came before stays, and it is asked again.',
                ),
                $e instanceof ConnectionException => new Unreachable("{$site->host} does not answer."),
                default => $e,
            };
        }
    }

    private function answer(string $address, Response $response, string $path): Fetched
    {
        $headers = array_map(
            static fn (array $values): string => (string) ($values[0] ?? ''),
            array_change_key_case($response->headers()),
        );
        $status = $response->status();
        if ($status === 200 || $status === 304) {
            return new Fetched($address, $path, $headers, $status === 304);
        }
        @unlink($path);
        $wait = $response->header('Retry-After');
        $seconds = match (true) {
            is_numeric($wait) => (int) $wait,
            $wait !== '' => (int) max(0, (int) strtotime($wait) - now()->getTimestamp()),
            default => null,
        };
        throw new Unreachable(match (true) {
            $status === 429 => 'It asks us to come later, since we ask too often.',
            $status === 401 || $status === 403 => "It does not let us in (answer $status).",
            $status === 404 || $status === 410 => "There is nothing at this address (answer $status).",
            $status >= 500 => "It has a fault of its own (answer $status).",
            default => "It answers with $status, which is no answer to this.",
        }, $seconds === null ? null : min($seconds, self::LONGEST_WAIT), $status === 404 || $status === 410, true);
    }
}
