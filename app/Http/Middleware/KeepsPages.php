<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Offer;
use App\Models\User;
use App\Support\KeptPages;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response as Answer;

/** A page that somebody just saw is shown to them again. Whether they may see it was asked before, as each time. */
final readonly class KeepsPages
{
    private const ONCE = '/(name="'.OnceOnly::FIELD.'" value=")\w+/';

    /** The cookie by which the framework repeats the token of the session. */
    private const TOKEN = 'XSRF-TOKEN';

    public function __construct(private KeptPages $pages)
    {
    }

    public function handle(Request $request, Closure $next): Answer
    {
        $user = $request->user();
        if (! config()->boolean('luftig.keep_pages') || ! $user instanceof User || ! self::isLasting($request)) {
            return $next($request);
        }
        $of = self::of($request, $user);
        $kept = KeptPages::find($of);
        if ($kept !== null) {
            return new Response(
                self::sentAnew($kept['text'], $kept['token'], $request), Answer::HTTP_OK,
                ['Content-Type' => $kept['type']],
            );
        }
        $since = KeptPages::all();
        $answer = $next($request);
        $isWhole = $answer instanceof Response || $answer instanceof JsonResponse;
        if ($isWhole && $answer->getStatusCode() === Answer::HTTP_OK && self::isLasting($request)) {
            $this->pages->keep($of, [
                'type' => (string) $answer->headers->get('Content-Type'), 'token' => $request->session()->token(),
                'text' => (string) $answer->getContent(),
            ], $since);
        }

        return $answer;
    }

    /**
     * Whether nothing is said on this page only, and nothing was typed and refused.
     *
     * @phpstan-impure
     */
    private static function isLasting(Request $request): bool
    {
        return $request->session()->get('_flash.old', []) === [] && $request->session()->get('_flash.new', []) === [];
    }

    /** Whose page it is, for which offer, on which day, in which version, what was asked, what the browser knows. */
    private static function of(Request $request, User $user): string
    {
        $session = $request->session()->getName();
        $cookies = collect($request->cookies->all())->forget(self::TOKEN)
            ->reject(fn (mixed $value, string $name): bool => str_starts_with($name, $session))->sortKeys();

        return implode("\n", [
            $user->id, app()->bound(Offer::class) ? app(Offer::class)->id : 0, $user->today()->toDateString(),
            base_path(), $request->fullUrl(), $request->header('HX-Request'), $request->header('HX-Target'),
            $cookies->toJson(),
        ]);
    }

    /** Its forms are those of this session, and what they send is not what was sent from the page before. */
    private static function sentAnew(string $text, string $token, Request $request): string
    {
        return (string) preg_replace_callback(
            self::ONCE,
            fn (array $found): string => $found[1].Str::random(OnceOnly::LENGTH),
            str_replace($token, $request->session()->token(), $text),
        );
    }
}
