<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Submission;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Answer;
use Illuminate\Support\Facades\DB;
use PDOException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/**
 * Does what a program asks under a key (Idempotency-Key) once, however often it sends it within a day: a second time it
 * has the first answer. What is done and its answer are written down together or not at all, whenever the machine
 * stops. What was refused may be sent again.
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
        $level = DB::transactionLevel();
        $secret = config()->string('app.key');
        $key = hash_hmac('sha1', "api|{$request->user()?->getAuthIdentifier()}|$given", $secret);
        $sent = hash_hmac('sha1', "{$request->method()} {$request->getRequestUri()} {$request->getContent()}", $secret);
        try {
            DB::beginTransaction();
            // Whoever sends it a second time meanwhile waits here until the first is done, or never was.
            if (Submission::query()->insertOrIgnore(['key' => $key, 'created_at' => now()]) === 0) {
                return self::asBefore($key, $sent);
            }
            $response = $next($request);
            if ($response->isSuccessful()) {
                Submission::query()->whereKey($key)->update(['answer' => self::kept($response, $sent)]);
                DB::commit();
            }

            return $response;
        } catch (PDOException $e) {
            report($e);
            throw new ConflictHttpException('Something else was in the way. Nothing was kept; send it again.', $e);
        } finally {
            if (DB::transactionLevel() > $level) {
                DB::rollBack($level);
            }
        }
    }

    private static function kept(Response $response, string $sent): string
    {
        return json_encode([
            'sent' => $sent, 'status' => $response->getStatusCode(), 'body' => (string) $response->getContent(),
            'headers' => array_filter([
                'Location' => $response->headers->get('Location'),
                'Content-Type' => $response->headers->get('Content-Type'),
            ]),
        ], JSON_THROW_ON_ERROR);
    }

    private static function asBefore(string $key, string $sent): Answer
    {
        $answer = Submission::query()->findOrFail($key)->answer ?? ['sent' => ''];
        if ($answer['sent'] !== $sent) {
            throw new UnprocessableEntityHttpException('This key was used for something else; take another.');
        }

        return new Answer($answer['body'], $answer['status'], $answer['headers']);
    }
}
