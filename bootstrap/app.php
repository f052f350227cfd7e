<?php

use App\Http\Middleware\CodeOfLeads;
use App\Http\Middleware\FormsAreText;
use App\Http\Middleware\FragmentsWithoutCookies;
use App\Http\Middleware\KeepsPages;
use App\Http\Middleware\KnownHosts;
use App\Http\Middleware\NoticesMany;
use App\Http\Middleware\OnceOnly;
use App\Http\Middleware\ReadableText;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\SessionOfPages;
use App\Http\Middleware\SettlesChanges;
use App\Http\Middleware\ShareOffer;
use App\Http\Middleware\StillSignsIn;
use App\Http\Problem;
use App\Http\Refusals;
use Illuminate\Auth\Middleware\Authorize;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Laravel\Sanctum\Http\Middleware\CheckForAnyAbility;
use Symfony\Component\HttpKernel\Exception\HttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php', api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php', health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Its package is not in every mirror, and no other site calls this one.
        $middleware->remove(HandleCors::class);
        $middleware->prepend(KnownHosts::class);
        $middleware->append(SecurityHeaders::class);
        $middleware->append(ReadableText::class);
        $middleware->append(NoticesMany::class);
        $middleware->authenticateSessions();
        $middleware->web(
            append: [
                FormsAreText::class, StillSignsIn::class, CodeOfLeads::class, OnceOnly::class, ShareOffer::class,
                SettlesChanges::class,
            ],
            prepend: [FragmentsWithoutCookies::class],
            replace: [StartSession::class => SessionOfPages::class],
        );
        $middleware->alias(['ability' => CheckForAnyAbility::class, 'kept' => KeepsPages::class]);
        // Whether somebody may see a page is asked before it is shown again.
        $middleware->appendToPriorityList(after: Authorize::class, append: KeepsPages::class);
        $middleware->redirectGuestsTo(fn (Request $request): ?string => $request->is('api/*') ? null : '/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->render(function (HttpException $e, Request $request): void {
            Refusals::record($e, $request);
        });
        $exceptions->render(fn (Throwable $e, Request $request) => $request->is('api/*') ? Problem::of($e) : null);
        $exceptions->render(function (HttpException $e, Request $request) {
            if ($e->getStatusCode() !== 419) {
                return null;
            }

            return redirect()->back()->withInput($request->except('password', '_token', 'file'))->with(
                'warning',
                'The page had been open too long, so nothing was saved. What you typed is still here; send it again.',
            );
        });
    })
    ->create();
