<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Job;
use App\Support\Catalog;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Catalog::class, static fn (): Catalog => new Catalog(config()->string('unionbit.catalog')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        Route::model('job', Job::class);
        Vite::useBuildDirectory('build');
        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(5)->by($request->string('email')->lower().'|'.$request->ip()));
    }
}
