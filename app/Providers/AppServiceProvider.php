<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\LostNode;
use App\Database\PatientConnection;
use App\Mail\FileTransport;
use App\Models\Device;
use App\Models\User;
use App\Weather\StandIn;
use App\Weather\WeatherService;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Database\LostConnectionDetector;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    /** @var array<class-string, class-string> */
    public array $bindings = [WeatherService::class => StandIn::class, LostConnectionDetector::class => LostNode::class];

    public function register(): void
    {
        Connection::resolverFor('mariadb', fn (...$made): PatientConnection => new PatientConnection(...$made));
    }

    public function boot(): void
    {
        JsonResource::withoutWrapping();
        // Letters lead to the address that people know, whatever the one who asked for them called this machine; pages to where they are.
        URL::useOrigin((string) config('app.url'));
        Vite::createAssetPathsUsing(fn (string $path): string => '/'.$path);
        Mail::extend('file', fn (): FileTransport => new FileTransport(storage_path('mail')));
        Model::shouldBeStrict(! $this->app->environment('production'));
        Date::useClass(\Carbon\CarbonImmutable::class);
        RateLimiter::for('sign-in', fn (Request $request): array => [
            self::perMinute('sign_in', (string) $request->ip()),
            // Many addresses that guess at one kitchen are one guesser; whether there is such a kitchen makes no difference.
            self::perMinute('sign_in_of_one', self::account($request)),
        ]);
        RateLimiter::for('register', fn (Request $request): Limit => self::perMinute('register', (string) $request->ip()));
        RateLimiter::for('mail', fn (Request $request): array => [
            self::perMinute('mail', (string) $request->ip()),
            self::perMinute('mail', self::account($request)),
        ]);
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

    /** Whose kitchen is asked for, or who asks. */
    private static function account(Request $request): string
    {
        $email = $request->input('email');
        $cook = $request->user();

        return hash('xxh128', is_string($email) ? mb_strtolower(trim($email)) : 'cook '.($cook instanceof User ? $cook->id : ''));
    }

    /** As config/app.php has it, counted for each cook or address by itself. */
    private static function perMinute(string $what, string $who): Limit
    {
        $most = config("app.limits.$what");
        assert(is_int($most));

        return Limit::perMinute($most)->by("$what $who");
    }
}
