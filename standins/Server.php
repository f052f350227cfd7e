<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** Which stand-in answers what. */
final readonly class Server
{
    public function __construct(private World $world, private Faults $faults, private string $root)
    {
    }

    public function answer(
        string $method,
        string $address,
        string $known = '',
        string $body = '',
        string $key = '',
    ): Answer {
        $path = (string) parse_url($address, PHP_URL_PATH);
        parse_str((string) parse_url($address, PHP_URL_QUERY), $query);
        $parts = explode('/', trim($path, '/'));
        if ($parts[0] === 'faults') {
            return $this->fault($method, $parts[1] ?? '', is_string($query['fault'] ?? null) ? $query['fault'] : '');
        }
        if ($parts === ['robots.txt']) {
            return Answer::of('text/plain', "User-agent: *\nDisallow: /sites/*/intern\n");
        }
        $source = match ($parts[0]) {
            'jobs' => new Jobs($this->world, $this->faults, $this->root),
            'press' => new Press($this->world, $this->faults, $this->root),
            'topics', 'posts' => new People($this->world, $this->faults, $this->root),
            'people' => new Moves($this->world, $this->faults, $this->root),
            'sites' => new Sites($this->world, $this->faults, $this->root),
            'register' => new Register($this->world, $this->faults, $this->root),
            'ekoprov' => new Checker($this->world, $this->faults, $this->root, $body),
            Figures::SERVICE => new Figures($this->world, $this->faults, $this->root, $body, $key),
            default => isset(Finders::SERVICES[$parts[0]])
                ? new Finders($this->world, $this->faults, $this->root, $parts[0], $body, $key) : null,
        };
        $answer = $source?->answer(array_slice($parts, 1), $query) ?? Answer::nothing();
        if ($known !== '' && $known === ($answer->headers['ETag'] ?? '') && $this->faults->of($parts[0]) === '') {
            return $answer->with('', [], 304);
        }

        return $this->faults->around($parts[0], $answer);
    }

    private function fault(string $method, string $source, string $fault): Answer
    {
        if ($method === 'DELETE') {
            $this->faults->end();

            return new Answer("All is well again.\n");
        }

        return $method === 'PUT' && $this->faults->set($source, $fault)
            ? new Answer("From now on: $fault.\n")
            : new Answer('One of '.implode(', ', Faults::ALL)."\n", 422);
    }
}
