<?php

declare(strict_types=1);

namespace App;

use App\Advisories\AdvisoriesChanged;
use App\Console\GoOnWithTheDay;
use App\Editions\EditionFrozen;
use App\Editions\EditionWithdrawn;
use App\Gardener\RenderAdvisories;
use App\Gardener\RenderFrozenEdition;
use App\Gardener\RenderHome;
use App\Gardener\RenderingProcess;
use App\Gardener\RenderSeasons;
use App\Gardener\RenderWithdrawal;
use App\Languages\TranslationsChanged;
use App\Log\FollowSowings;
use App\Office\WaterRulesChanged;
use App\Operations\DemoClockMoved;
use App\People\Membership;
use App\People\Token;
use App\People\User;
use App\Results\StartComputing;
use App\Simulation\OutboxTransport;
use App\Simulation\SimulatedOutlook;
use App\Simulation\SimulatedProbe;
use App\Simulation\SimulatedReports;
use App\Soil\NoProbe;
use App\Soil\ProbeSource;
use App\Stations\NoOutlook;
use App\Stations\NoReports;
use App\Stations\OutlookSource;
use App\Stations\ReportSource;
use App\Zones\BoundariesChanged;
use App\Zones\ComputationQueued;
use App\Zones\DayTurned;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Sanctum;
use PDO;

/** Puts the features together: who listens to what, rate limits, and Laravel's settings. */
class AppServiceProvider extends ServiceProvider
{
    private const LOCK_WAIT_S = 5;

    /** Which action follows which event, where the feature that acts is below the one that sends the event. */
    private const LISTENERS = [
        ComputationQueued::class => StartComputing::class,
        DayTurned::class => FollowSowings::class,
        EditionFrozen::class => RenderFrozenEdition::class,
        EditionWithdrawn::class => RenderWithdrawal::class,
        BoundariesChanged::class => RenderHome::class,
        TranslationsChanged::class => RenderSeasons::class,
        WaterRulesChanged::class => RenderSeasons::class,
        AdvisoriesChanged::class => RenderAdvisories::class,
        DemoClockMoved::class => GoOnWithTheDay::class,
    ];

    public function register(): void
    {
        // Use the client that needs no extension if the extension is missing.
        if (! extension_loaded('redis')) {
            config(['database.redis.client' => 'predis']);
        }
        // Somebody waiting at a screen is told soon that something is in the way; a worker has time.
        if (! $this->app->runningInConsole()) {
            config([
                'database.connections.mariadb.options' => [
                    PDO::MYSQL_ATTR_INIT_COMMAND => 'SET SESSION innodb_lock_wait_timeout = '.self::LOCK_WAIT_S,
                ],
            ]);
        }
        $this->connect();
    }

    private function connect(): void
    {
        // The demonstration's weather is simulated, and says so; elsewhere, nothing is connected.
        $simulated = (bool) config('anthesis.demonstration');
        $this->app->bind(OutlookSource::class, $simulated ? SimulatedOutlook::class : NoOutlook::class);
        $this->app->bind(ProbeSource::class, $simulated ? SimulatedProbe::class : NoProbe::class);
        $this->app->bind(ReportSource::class, $simulated ? SimulatedReports::class : NoReports::class);
    }

    public function boot(): void
    {
        // Only named proxies are trusted to say who asks, and whether over TLS; nobody is trusted to say what this service is called.
        TrustProxies::at((array) config('anthesis.trusted_proxies'));
        TrustProxies::withHeaders(Request::HEADER_X_FORWARDED_FOR | Request::HEADER_X_FORWARDED_PROTO);
        // Addresses without a host, so a page is the same under any name.
        Vite::createAssetPathsUsing(static fn (string $path): string => '/'.ltrim($path, '/'));
        Model::shouldBeStrict(! $this->app->environment('production'));
        Mail::extend('outbox', static fn (): OutboxTransport => new OutboxTransport());
        // A token lets nobody in who may not log in.
        Sanctum::usePersonalAccessTokenModel(Token::class);
        Sanctum::authenticateAccessTokensUsing(
            static fn (Token $token, bool $isValid): bool => $isValid &&
                $token->tokenable instanceof User &&
                $token->tokenable->isActive(),
        );
        // People are managed where they work.
        Route::bind(
            'person',
            static fn (string $id): User => Membership::query()->with('user')->where('user_id', $id)->firstOrFail()->user,
        );
        // A policy is beside its model.
        Gate::guessPolicyNamesUsing(static fn (string $model): string => "{$model}Policy");
        foreach (self::LISTENERS as $event => $listener) {
            Event::listen($event, $listener);
        }
        // A worker that has nothing to render, or not yet, keeps no process that could.
        Event::listen(Looping::class, RenderingProcess::closeAll(...));
        // Links use this service's own address, not the one in a request.
        URL::forceRootUrl((string) config('app.url'));
        self::limits();
    }

    private static function limits(): void
    {
        // A computation takes a worker seconds; nobody needs more per minute.
        RateLimiter::for(
            'computing',
            static fn (Request $request): Limit => Limit::perMinute(12)->by((string) $request->user()?->getAuthIdentifier()),
        );
        RateLimiter::for(
            'programs',
            static fn (Request $request): Limit => Limit::perMinute(60)->by((string) $request->user()?->getAuthIdentifier()),
        );
        // A station reports a few times a day. StationReportController stops those who try tokens.
        RateLimiter::for(
            'reports',
            static fn (Request $request): Limit => Limit::perMinute(10)->by(
                hash('sha256', (string) $request->bearerToken()).$request->ip(),
            ),
        );
        // A person subscribes once; somebody who types many addresses is stopped.
        RateLimiter::for('letters', static fn (Request $request): Limit => Limit::perMinute(5)->by((string) $request->ip()));
        // Pages that depend on a choice are made on request; a reader needs a few per minute.
        RateLimiter::for('pages', static fn (Request $request): Limit => Limit::perMinute(240)->by((string) $request->ip()));
        // A link in a newsletter is followed once or twice; each guess costs a page.
        RateLimiter::for('letter-links', static fn (Request $request): Limit => Limit::perMinute(20)->by((string) $request->ip()));
        // A PDF takes a second or two to make, and is then kept.
        RateLimiter::for('paper', static fn (Request $request): Limit => Limit::perMinute(30)->by((string) $request->ip()));
        // A link in an e-mail is followed once or twice; each guess at one, or at a password, takes time.
        RateLimiter::for('links', static fn (Request $request): Limit => Limit::perMinute(20)->by((string) $request->ip()));
        // Each one is an e-mail to somebody.
        RateLimiter::for(
            'invitations',
            static fn (Request $request): Limit => Limit::perMinute(12)->by((string) $request->user()?->getAuthIdentifier()),
        );
        // For all accounts tried from one network address; SessionController counts the tries for a single account.
        RateLimiter::for('login', static fn (Request $request): Limit => Limit::perMinute(60)->by((string) $request->ip()));
    }
}
