<?php

declare(strict_types=1);

namespace App\Providers;

use App\Backup\MakeBackup;
use App\Crew\Door\WholePassword;
use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Database\ImmediateConnector;
use App\Database\OneWriter;
use App\Errand\CutOff;
use App\Errand\Errands;
use App\Handover\MakePdf;
use App\Health\Beat;
use App\House\Catalog;
use App\Jobs\Archive\MakeArchive;
use App\Jobs\Archive\ReadFiles;
use App\Jobs\JobPolicy;
use App\Models\Crew\Crew;
use App\Models\Crew\User;
use App\Models\Job;
use App\Records\Photo\DrawPhoto;
use App\Share\RightsEnd;
use App\Stage\CalmCache;
use App\Web\Limit\CalmLimiter;
use App\Web\Limit\Limits;
use App\Web\Session\QuietSessions;
use App\Web\Session\StartQuietSession;
use App\Words\Lexicon;
use App\Words\Speaker;
use App\Words\Units;
use App\Words\Words;
use Closure;
use Illuminate\Cache\CacheManager;
use Illuminate\Cache\RateLimiter;
use Illuminate\Cache\Repository;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Schema\Builder;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Session\SessionManager;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\View;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Illuminate\View\View as Page;
use PDO;

final class AppServiceProvider extends ServiceProvider
{
    /** The long work that there is: see App\Errand. */
    private const ERRANDS = [
        MakePdf::class,
        DrawPhoto::class,
        ReadFiles::class,
        MakeArchive::class,
        MakeBackup::class,
    ];

    public function register(): void
    {
        $this->words();
        $this->app->singleton(Errands::class, static function (Application $app): Errands {
            $errands = new Errands($app);
            array_map($errands->register(...), self::ERRANDS);

            return $errands;
        });
        $this->app->singleton(
            StartSession::class,
            static fn (Application $app): StartSession => new StartQuietSession($app->make(SessionManager::class)),
        );
        $this->app->extend(RateLimiter::class, static function (RateLimiter $plain, Application $app): RateLimiter {
            $calm = new CalmLimiter($app->make(CacheManager::class)->driver(config()->string('cache.limiter')));
            Limits::name($calm);

            return $calm;
        });
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        Connection::resolverFor(
            'pgsql',
            static fn (
                Closure|PDO $pdo,
                string $database,
                string $prefix,
                array $config,
            ): OneWriter => new OneWriter($pdo, $database, $prefix, $config),
        );
        // How long a text may be is for the requests to say: both databases take any.
        Builder::$defaultStringLength = 0;
        $this->app->singleton(
            Catalog::class,
            static fn (): Catalog => new Catalog(config()->string('unionbit.catalog')),
        );
    }

    /** The words that this request is answered in: the language of the application, the units of the person's crew. */
    private function words(): void
    {
        $this->app->scoped(Lexicon::class, static function (): Lexicon {
            $locale = app()->getLocale();

            return new Lexicon($locale, lang_path($locale));
        });
        $this->app->scoped(
            Speaker::class,
            static fn (Application $app): Speaker => new Speaker($app->make(Lexicon::class), self::units()),
        );
    }

    /** @return Closure(): Units asked for with every word: the person's are worked out once, and anew if they change */
    private static function units(): Closure
    {
        $whose = null;
        $chosen = [];
        $units = Units::Us;

        return static function () use (&$whose, &$chosen, &$units): Units {
            $user = Auth::user();
            if (! ($user instanceof User)) {
                return Units::Us;
            }
            // As they stand on the row: nothing is worked out of them unless they differ.
            $crew = $user->getRelations()['crew'] ?? null;
            $now = [
                $user->getAttributes()['settings'] ?? null,
                $crew instanceof Crew ? $crew->getAttributes()['units'] ?? null : null,
            ];
            if ($user !== $whose || $now !== $chosen) {
                [$whose, $chosen, $units] = [$user, $now, $user->units()];
            }

            return $units;
        };
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        View::composer(
            'maintenance',
            static fn (Page $page) => $page->with([
                'title' => Words::of('web.maintenance.title'),
                'says' => Words::of('web.maintenance.says'),
            ]),
        );
        Queue::looping(static function (): void {
            if (Beat::age('queue') === null || Beat::age('queue') > 10) {
                Beat::of('queue');
                CutOff::takeUp();
            }
        });
        $this->loadMigrationsFrom(database_path('migrations/trace'));
        Route::model('job', Job::class);
        Route::patterns(array_fill_keys(['person', 'link', 'share'], '[0-9]{1,18}'));
        Gate::policy(Job::class, JobPolicy::class);
        $this->kept();
        Vite::useBuildDirectory(config()->string('unionbit.build'));
        TrustProxies::at(array_values(config()->array('unionbit.trusted_proxies')));
        User::updated(RightsEnd::changed(...));
        User::updated(static function (User $user): void {
            if ($user->wasChanged('crew_id')) {
                SecurityLog::write(SecurityKind::CrewChanged, "to crew {$user->crew_id}", $user);
            }
        });
    }

    /** Where sessions, answers to be shown again and tries at the doors are kept, and how passwords are. */
    private function kept(): void
    {
        Session::extend(
            'database',
            static fn (Application $app): QuietSessions => new QuietSessions(
                DB::connection(),
                'sessions',
                config()->integer('session.lifetime'),
                $app,
            ),
        );
        Cache::extend('file', function (Application $app): Repository {
            $path = config()->string('cache.stores.file.path');
            $store = new CalmCache($app->make(Filesystem::class), $path);

            return Cache::repository($store->setLockDirectory($path));
        });
        Cache::extend('limits', fn (): Repository => Cache::repository(Limits::store()));
        Hash::extend(
            'bcrypt',
            static fn (): WholePassword => new WholePassword(config()->array('hashing.bcrypt', [])),
        );
    }
}
