<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Submission;
use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Sleep;
use Symfony\Component\HttpFoundation\Response;

/**
 * Does what a form asks once, however often it is sent: the same fields from the same page a second time lead to where
 * the first led. What was refused may be sent again.
 */
final class OnceOnly
{
    public const FIELD = '_once';

    /** Letters that tell one page from another. */
    public const LENGTH = 12;

    /** Milliseconds between looks whether the first has its answer, and how many looks. */
    private const PAUSE = 50;

    private const LOOKS = 200;

    /** What of the first answer the second says too. */
    private const TOLD = ['said', 'undo', 'warning'];

    public function handle(Request $request, Closure $next): Response
    {
        if (! self::applies($request)) {
            return $next($request);
        }
        // Keyed, so that what was typed, a new password of somebody's too, cannot be guessed from what is stored.
        $sent = $request->user()?->getAuthIdentifier().'|'.$request->path().'|'.serialize($request->except('_token'));
        $key = hash_hmac('sha1', $sent, config()->string('app.key'));
        if (Submission::query()->insertOrIgnore(['key' => $key, 'created_at' => now()]) === 0) {
            return $this->asBefore($key);
        }
        $answer = null;
        try {
            $response = $next($request);
            if ($response instanceof RedirectResponse && ! $request->session()->has('errors')) {
                $new = array_intersect(self::TOLD, (array) $request->session()->get('_flash.new', []));
                $told = array_map(fn (string $name): mixed => $request->session()->get($name), $new);
                $answer = ['to' => $response->getTargetUrl(), 'flashed' => array_combine($new, $told)];
            }

            return $response;
        } finally {
            $submission = Submission::query()->whereKey($key);
            $answer === null
                ? $submission->delete()
                : $submission->update(['answer' => json_encode($answer, JSON_THROW_ON_ERROR)]);
        }
    }

    /** Signing in is no deed that could be done twice. */
    private static function applies(Request $request): bool
    {
        return $request->isMethod('post') && is_string($request->input(self::FIELD)) && $request->user() !== null
            && ! $request->hasHeader('HX-Request') && $request->allFiles() === [];
    }

    private function asBefore(string $key): RedirectResponse
    {
        for ($look = 0; $look < self::LOOKS; $look++) {
            $answer = Submission::query()->find($key)?->answer;
            if ($answer !== null) {
                return redirect()->to($answer['to'])->with($answer['flashed']);
            }
            Sleep::for(self::PAUSE)->milliseconds();
        }

        return redirect()->back()
            ->with('warning', 'This was sent twice. Look whether it is there before you send it again.');
    }
}
