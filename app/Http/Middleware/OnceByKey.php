<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Submission;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Answer;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/**
 * Does what a program asks under a key (Idempotency-Key) once, however often it sends it within a day: a second time it
 * has the first answer. What was refused may be sent again.
 */
final class OnceByKey
{
    public const HEADER = 'Idempotency-Key';

    private const LONGEST = 200;

    public function handle(Request $request, Closure $next): Response
    {
        $given = $request->headers->get(self::HEADER);
        if ($given === null || $request->isMethodSafe()) {
            return $next($request);
        }
        if ($given === '' || strlen($given) > self::LONGEST) {
            throw new UnprocessableEntityHttpException('An Idempotency-Key has 1 to '.self::LONGEST.' letters.');
        }
        $secret = config()->string('app.key');
        $key = hash_hmac('sha1', "api|{$request->user()?->getAuthIdentifier()}|$given", $secret);
        $sent = hash_hmac('sha1', "{$request->method()} {$request->getRequestUri()} {$request->getContent()}", $secret);
        if (Submission::query()->insertOrIgnore(['key' => $key, 'created_at' => now()]) === 0) {
            return self::asBefore($key, $sent);
        }
        $response = null;
        try {
            return $response = $next($request);
        } finally {
            $submission = Submission::query()->whereKey($key);
            $response?->isSuccessful() === true
                ? $submission->update(['answer' => json_encode([
                    'sent' => $sent, 'status' => $response->getStatusCode(), 'body' => (string) $response->getContent(),
                    'headers' => array_filter([
                        'Location' => $response->headers->get('Location'),
                        'Content-Type' => $response->headers->get('Content-Type'),
                    ]),
                ], JSON_THROW_ON_ERROR)])
                : $submission->delete();
        }
    }

    private static function asBefore(string $key, string $sent): Answer
    {
        $answer = Submission::query()->find($key)?->answer;
        if ($answer === null) {
            throw new ConflictHttpException('What was sent under this key is still worked on; ask again in a moment.');
        }
        if ($answer['sent'] !== $sent) {
            throw new UnprocessableEntityHttpException('This key was used for something else; take another.');
        }

        return new Answer($answer['body'], $answer['status'], $answer['headers']);
    }
}
