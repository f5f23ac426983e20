<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Devices\Probe;
use App\Devices\Shelf;
use App\Models\Device;
use App\Models\ReadingPlace;
use App\Models\Roast;
use App\Roasts\Diary;
use App\Roasts\Yard;
use App\Words\Voice;
use Carbon\CarbonImmutable;
use Diatherm\Cooking\Course;
use Diatherm\Measure\Message;
use Diatherm\Practice\ProbeFault;
use Diatherm\Practice\SimulatedProbe;
use Diatherm\Practice\SimulatedThermometer;
use Diatherm\Roast\RoastFile;
use Diatherm\Tending\LaidFires;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Http;

/**
 * A stand-in for a wireless thermometer: it knows a joint's truth, and sends what its probes would show by the address that a real one
 * would use, with a token of its own.
 */
final class ThermometerCommand extends Command
{
    protected $signature = 'diatherm:thermometer
        {--roast= : Id of the roast that it hangs on}
        {--dish=0 : Number of the dish, from 0}
        {--url= : Address of the kitchen; its own where nothing is said}
        {--every=15 : Seconds from one sending to the next}
        {--once : Send what was read until now, and stop}
        {--slips= : Minutes after which probe 2 slips out}
        {--bone : Probe 3 touches bone}
        {--drops : Probe 4 is now and then not heard}
        {--seed=1 : The same seed reads the same}';

    protected $description = 'Stand in for a wireless thermometer of four probes';

    /** How far back it remembers what it read before it was heard, and how often. */
    private const BACKLOG_EVERY_S = 60;

    private const AT_ONCE = 500;

    private const TRIES = 3;

    public function handle(): int
    {
        $roast = Roast::query()->with(['readings', 'events', 'user'])->find($this->option('roast'));
        if (! $roast instanceof Roast) {
            $this->components->error(Voice::metric()->say(Message::of('devices.no_such_roast')));

            return self::FAILURE;
        }
        $number = (int) $this->option('dish');
        $every = max(1, (int) $this->option('every'));
        $token = $this->token($roast, $number);
        $sent = null;
        do {
            $now = CarbonImmutable::now();
            [$thermometer, $on] = $this->thermometer($roast, $number, $now);
            if ($thermometer !== null && $on !== null) {
                $readings = [];
                $step = $sent === null ? self::BACKLOG_EVERY_S : $every;
                for ($at = $sent === null ? $on : $sent->addSeconds($every); $at <= $now; $at = $at->addSeconds($step)) {
                    foreach ($thermometer->channels() as $channel) {
                        $readings[] = [
                            'channel' => $channel, 'celsius' => $thermometer->reads($channel, $on->diffInSeconds($at)),
                            'at' => $at->toIso8601ZuluString('millisecond'),
                        ];
                    }
                }
                if (! $this->send($token, $readings)) {
                    return self::FAILURE;
                }
                $sent = $now;
            }
            if (! $this->option('once')) {
                sleep($every);
                $roast = $roast->fresh(['readings', 'events', 'user']) ?? $roast;
            }
        } while (! $this->option('once'));

        return self::SUCCESS;
    }

    private function token(Roast $roast, int $dish): string
    {
        $probes = [
            new Probe(1, $dish, ReadingPlace::Core), new Probe(2, $dish, ReadingPlace::ThickEnd), new Probe(3, $dish, ReadingPlace::Bone),
            new Probe(4, $dish, ReadingPlace::Cooker),
        ];
        $name = Voice::metric()->say(Message::of('devices.stand_in'));
        $device = Device::query()->where('user_id', $roast->user_id)->where('name', $name)->first();
        if ($device instanceof Device) {
            Shelf::change($device, $name, $roast, $probes);
        } else {
            $device = Shelf::add($roast->user, $name, $roast, $probes);
        }

        return Shelf::token($device);
    }

    /** @return array{SimulatedThermometer|null, CarbonImmutable|null} nothing while the dish is not on */
    private function thermometer(Roast $stored, int $number, CarbonImmutable $now): array
    {
        $roast = RoastFile::read($stored->inputs);
        $dish = LaidFires::lay($roast, Yard::for($roast, $stored->user_id))->dishes[$number] ?? null;
        $diary = new Diary($stored, $roast, $now);
        $on = $diary->onAt($number);
        $course = $diary->course($number);
        if ($dish === null || $on === null || $course === null) {
            return [null, null];
        }
        // What hands did is so; what was read of its cooker is this thermometer's own doing.
        $done = new Course([], $course->lifts, $course->stageStarts, $course->pulledS, $course->nowS, $course->carvedS, $course->offs);
        $slips = $this->option('slips');

        return [SimulatedThermometer::of($dish, $roast->airC, $done, [
            new SimulatedProbe(1, 0.0),
            new SimulatedProbe(2, 0.1, is_numeric($slips) ? ProbeFault::SlipsOut : ProbeFault::None, 60.0 * (float) $slips),
            new SimulatedProbe(3, 0.15, $this->option('bone') ? ProbeFault::TouchesBone : ProbeFault::None),
            new SimulatedProbe(4, null, $this->option('drops') ? ProbeFault::DropsOut : ProbeFault::None),
        ], (int) $this->option('seed')), $on];
    }

    /** @param  list<array{channel: int, celsius: float|null, at: string}>  $readings */
    private function send(string $token, array $readings): bool
    {
        $url = rtrim((string) ($this->option('url') ?? config('app.url')), '/').'/api/device/readings';
        foreach (array_chunk($readings, self::AT_ONCE) as $some) {
            $answer = Http::withToken($token)->acceptJson()->retry(self::TRIES, 500, throw: false)
                ->post($url, ['battery' => 88, 'signal' => 71, 'readings' => $some]);
            if ($answer->failed()) {
                $this->components->error(Voice::metric()->say(Message::of('devices.not_taken', url: $url, status: $answer->status())));

                return false;
            }
            $counts = (array) $answer->json();
            $this->line(implode(', ', array_map(fn (mixed $count, string $what): string => "$what $count", $counts, array_keys($counts))));
        }

        return true;
    }
}
