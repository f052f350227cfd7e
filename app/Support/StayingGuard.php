<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Auth\SessionGuard;
use Illuminate\Contracts\Cookie\QueueingFactory;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Contracts\Session\Session;
use Illuminate\Foundation\Application;
use Illuminate\Support\Facades\Auth;

/**
 * Signs people in as the framework does, but for the name of the cookie that keeps them signed in: it follows that of
 * the session, so that both are of this host only where the session's is (`__Host-`).
 */
final class StayingGuard extends SessionGuard
{
    private const STAYS = '_stays';

    public static function of(Application $app, string $name, ?string $provider): self
    {
        $guard = new self(
            $name,
            Auth::createUserProvider($provider) ?? throw new \LogicException("Nobody is known to $name."),
            $app->make(Session::class),
            hashKey: config()->string('app.key'),
        );
        $guard->setCookieJar($app->make(QueueingFactory::class));
        $guard->setDispatcher($app->make(Dispatcher::class));
        $guard->setRequest($app->refresh('request', $guard, 'setRequest'));

        return $guard;
    }

    public function getRecallerName(): string
    {
        return config()->string('session.cookie').self::STAYS;
    }
}
