<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\LostNode;
use App\Database\PatientConnection;
use App\Kitchen\KnownDevice;
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
    private const KNOWN_WAITS_S = 15;

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
        RateLimiter::for('sign-in', self::signIn(...));
        // From a letter: who has none cannot use up the tries of who has.
        RateLimiter::for('letter', fn (Request $request): array => [
            self::perMinute('sign_in', 'letter '.$request->ip()),
            self::perMinute('sign_in_of_one', 'letter '.hash('xxh128', (string) json_encode($request->input('token')))),
        ]);
        RateLimiter::for('register', fn (Request $request): Limit => self::perMinute('register', (string) $request->ip()));
        // To one address goes one letter a minute, whoever asks for it (config/auth.php): it is the same letter.
        RateLimiter::for('mail', fn (Request $request): Limit => self::perMinute(
            'mail', self::cook($request) ?? self::knownDevice($request) ?? (string) $request->ip(),
        ));
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

    /** @return list<Limit> */
    private static function signIn(Request $request): array
    {
        $cook = self::cook($request);
        if ($cook !== null) {
            return [self::perMinute('sign_in_of_one', $cook)];
        }
        $known = self::knownDevice($request);
        if ($known !== null) {
            // It waits for seconds, and whatever others try makes no difference to it.
            return [Limit::perSecond((int) config('app.limits.sign_in_of_known'), self::KNOWN_WAITS_S)->by($known)];
        }

        return [
            self::perMinute('sign_in', (string) $request->ip()),
            // Many addresses that guess at one kitchen are one guesser; whether there is such a kitchen makes no difference.
            self::perMinute('sign_in_of_one', 'strangers '.hash('xxh128', self::email($request))),
        ];
    }

    private static function email(Request $request): string
    {
        $email = $request->input('email');

        return is_string($email) ? mb_strtolower(trim($email)) : '';
    }

    private static function cook(Request $request): ?string
    {
        $cook = $request->user();

        return $cook instanceof User ? "cook $cook->id" : null;
    }

    private static function knownDevice(Request $request): ?string
    {
        $mark = KnownDevice::mark($request, self::email($request));

        return $mark === null ? null : "known $mark";
    }

    /** As config/app.php has it, counted for each cook or address by itself. */
    private static function perMinute(string $what, string $who): Limit
    {
        $most = config("app.limits.$what");
        assert(is_int($most));

        return Limit::perMinute($most)->by("$what $who");
    }
}
