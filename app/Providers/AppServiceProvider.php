<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Story;
use App\Reasons\StorySet;
use App\Standings\ChangedAccounts;
use App\Support\Clock;
use App\Support\FunctionNames;
use App\Support\StayingGuard;
use App\Support\TableMarks;
use App\View\TagCompiler;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Luftig\Core\Text\Fold;
use PDO;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(ChangedAccounts::class);
        $this->app->scoped(FunctionNames::class);
        $this->app->singleton(TableMarks::class);
        $hosts = explode(',', config()->string('database.connections.mariadb.host'));
        // Of several machines of a cluster whichever answers is asked, and it answers with what any of them wrote.
        if (count($hosts) > 1) {
            config(['database.connections.mariadb.host' => $hosts]);
        }
        $together = count($hosts) > 1 ? [PDO::MYSQL_ATTR_INIT_COMMAND => 'SET SESSION wsrep_sync_wait = 1'] : [];
        config(['database.connections.mariadb.isolation_level' => 'READ COMMITTED',
            'database.connections.mariadb.options' => [
                // Standings are written as files that the server reads (App\Intake\Bulk).
                PDO::MYSQL_ATTR_LOCAL_INFILE => true,
                // One way to the server for a question instead of two; no statement is asked twice on one connection.
                PDO::ATTR_EMULATE_PREPARES => true,
                PDO::MYSQL_ATTR_MULTI_STATEMENTS => false,
            ] + $together]);
    }

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        Model::preventLazyLoading(! app()->isProduction() && $this->app->runningUnitTests());
        Story::saved(StorySet::forget(...));
        Story::deleted(StorySet::forget(...));
        Auth::extend('session', fn (Application $app, string $name, array $config): StayingGuard => StayingGuard::of(
            $app, $name, $config['provider'] ?? null,
        ));
        Blade::prepareStringsForCompilationUsing(fn (string $view): string => (new TagCompiler(
            Blade::getClassComponentAliases(), Blade::getClassComponentNamespaces(), Blade::getFacadeRoot(),
        ))->compile($view));
        DB::listen(app(TableMarks::class)->heard(...));
        Clock::apply();
        Queue::before(fn () => Clock::apply());
        Queue::looping(fn () => Clock::apply());
        // The address as the database compares it, whatever its accents and capitals; and whoever tries one after the
        // other.
        RateLimiter::for('api', fn (Request $request): Limit => Limit::perMinute(1200)
            ->by('api|'.self::whose($request)));
        RateLimiter::for('second', fn (Request $request): array => [
            Limit::perMinute(6)->by('second|'.$request->session()->get('second.user', '')),
            Limit::perMinute(40)->by('second-network|'.$request->ip()),
        ]);
        RateLimiter::for('sign-in', fn (Request $request): array => [
            Limit::perMinute(6)
                ->by('address|'.Fold::line((string) $request->string('email')->limit(190)).'|'.$request->ip()),
            Limit::perMinute(40)->by('network|'.$request->ip()),
        ]);
    }

    /** A source and a person are two, whatever their numbers. */
    private static function whose(Request $request): string
    {
        $caller = $request->user('sanctum');

        return $caller instanceof Model ? "{$caller->getMorphClass()}|{$caller->getKey()}" : (string) $request->ip();
    }
}
