<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Device;
use App\Models\User;
use App\Weather\StandIn;
use App\Weather\WeatherService;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    /** @var array<class-string, class-string> */
    public array $bindings = [WeatherService::class => StandIn::class];

    public function boot(): void
    {
        JsonResource::withoutWrapping();
        Model::shouldBeStrict(! $this->app->environment('production'));
        Date::useClass(\Carbon\CarbonImmutable::class);
        RateLimiter::for('sign-in', fn (Request $request): Limit => self::perMinute('sign_in', (string) $request->ip()));
        RateLimiter::for('demo', fn (Request $request): Limit => self::perMinute('demo', (string) $request->ip()));
        RateLimiter::for('hands', fn (Request $request): Limit => self::perMinute('compute_in_demo', (string) $request->ip()));
        RateLimiter::for('devices', function (Request $request): Limit {
            $device = $request->user();

            return self::perMinute('devices', $device instanceof Device ? $device->id : (string) $request->ip());
        });
        RateLimiter::for('compute', function (Request $request): Limit {
            $cook = $request->user();

            return $cook instanceof User
                ? self::perMinute($cook->demo_until === null ? 'compute' : 'compute_in_demo', (string) $cook->id)
                : self::perMinute('compute', (string) $request->ip());
        });
    }

    /** As config/app.php has it, counted for each cook or address by itself. */
    private static function perMinute(string $what, string $who): Limit
    {
        $most = config("app.limits.$what");
        assert(is_int($most));

        return Limit::perMinute($most)->by("$what $who");
    }
}
