<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** What is wrong with what a program asked, in a sentence (RFC 9457); of what went wrong inside, nothing. */
final class Problem
{
    /** Where an exception's own sentence is one of ours. */
    private const OURS = [400, 403, 409, 412, 413, 422];

    private const SENTENCES = [
        401 => 'This needs a token that holds.', 403 => 'This token, or whose it is, may not do that.',
        404 => 'There is nothing at this address.', 405 => 'This address does not know that method.',
        429 => 'Too many requests; Retry-After says how many seconds to wait.',
        500 => 'Something went wrong here. Nothing was kept of what was sent.',
    ];

    public static function of(Throwable $e): JsonResponse
    {
        [$status, $headers] = match (true) {
            $e instanceof ValidationException => [$e->status, []],
            $e instanceof AuthenticationException => [401, ['WWW-Authenticate' => 'Bearer']],
            $e instanceof HttpExceptionInterface => [$e->getStatusCode(), $e->getHeaders()],
            default => [500, []],
        };

        return self::says(
            $status, self::detail($e, $status), $headers,
            $e instanceof ValidationException ? ['errors' => $e->errors()] : [],
        );
    }

    /**
     * @param  array<string, mixed>  $headers
     * @param  array<string, mixed>  $more
     */
    public static function says(int $status, string $detail, array $headers = [], array $more = []): JsonResponse
    {
        return response()->json(
            ['type' => 'about:blank', 'title' => Response::$statusTexts[$status] ?? 'Problem', 'status' => $status,
                'detail' => $detail] + $more,
            $status, $headers + ['Content-Type' => 'application/problem+json'],
        );
    }

    /** Our own sentence where there is one; nobody is told of classes or tables. */
    private static function detail(Throwable $e, int $status): string
    {
        $own = match (true) {
            $e instanceof ValidationException => implode(' ', array_merge(...array_values($e->errors()))),
            $e instanceof HttpExceptionInterface && in_array($status, self::OURS, true) => $e->getMessage(),
            default => '',
        };
        $generic = in_array($own, ['', 'This action is unauthorized.', 'Invalid ability provided.'], true);

        return $generic ? self::SENTENCES[$status] ?? Response::$statusTexts[$status] ?? 'Problem' : $own;
    }
}
