<?php

declare(strict_types=1);

namespace App\Providers;

use App\Crew\SecurityKind;
use App\Crew\SecurityLog;
use App\Database\ImmediateConnector;
use App\House\Catalog;
use App\Jobs\JobPolicy;
use App\Models\Job;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        $this->app->singleton(
            Catalog::class,
            static fn (): Catalog => new Catalog(config()->string('unionbit.catalog')),
        );
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        Route::model('job', Job::class);
        Gate::policy(Job::class, JobPolicy::class);
        Vite::useBuildDirectory('build');
        TrustProxies::at(array_values(config()->array('unionbit.trusted_proxies')));
        User::updated(static function (User $user): void {
            if ($user->wasChanged('crew_id')) {
                SecurityLog::write(SecurityKind::CrewChanged, "to crew {$user->crew_id}", $user);
            }
        });
    }
}
