<?php

declare(strict_types=1);

namespace App\Kitchen;

use App\Devices\Probe;
use App\Models\Cooker;
use App\Models\Device;
use App\Models\Mix;
use App\Models\OwnSide;
use App\Models\Roast;
use App\Models\User;
use App\Roasts\Shelf;
use App\Roasts\Yard;
use Diatherm\Cooker\CookerFile;
use Diatherm\Food\Mix as CoreMix;
use Diatherm\Measure\Fields;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Roast\OwnSideFile;
use Diatherm\Roast\RoastFile;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A whole kitchen in one document: every roast with all that was logged of it, cookers with what was read on them, mixes, sides and
 * thermometers; no password, no token, no link. Taken in, it is added to what is there, all of it or nothing.
 */
final class KitchenFile
{
    public const FORMAT = 'diatherm-kitchen';

    public const VERSION = 1;

    private const MOST = [
        'roasts' => Roast::MOST_IN_A_KITCHEN,
        'cookers' => Cooker::MOST_IN_A_KITCHEN,
        'mixes' => Mix::MOST_IN_A_KITCHEN,
        'sides' => OwnSide::MOST_IN_A_KITCHEN,
        'devices' => Device::MOST_IN_A_KITCHEN,
    ];

    /** @return array<string, mixed> */
    public static function write(User $cook): array
    {
        /** @var list<Device> $devices */
        $devices = $cook->devices()->orderBy('name')->orderBy('id')->get()->all();
        $numbers = array_flip(array_map(fn (Device $device): string => $device->id, $devices));
        /** @var list<Roast> $roasts */
        $roasts = $cook->roasts()->with(['readings', 'events'])->orderBy('serve_at')->orderBy('id')->get()->all();
        /** @var list<Cooker> $cookers */
        $cookers = $cook->cookers()->with('observations')->orderBy('name')->get()->all();
        /** @var list<Mix> $mixes */
        $mixes = $cook->mixes()->orderBy('name')->orderBy('id')->get()->all();
        /** @var list<OwnSide> $sides */
        $sides = $cook->sides()->orderBy('name')->get()->all();

        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'cook' => ['temperature_unit' => $cook->temperature_unit, 'mass_unit' => $cook->mass_unit, 'clock_hours' => $cook->clock_hours],
            'cookers' => array_map(Yard::file(...), $cookers),
            'mixes' => array_map(fn (Mix $mix): array => $mix->mix, $mixes),
            'sides' => array_map(fn (OwnSide $side): array => $side->side, $sides),
            'devices' => array_map(fn (Device $device): array => [
                'name' => $device->name, 'probes' => array_map(fn (Probe $probe): array => $probe->toArray(), $device->probes),
            ], $devices),
            'roasts' => array_map(fn (Roast $roast): array => [
                'file' => $roast->inputs,
                'note' => $roast->debrief_note,
                'lighting' => $roast->lighting,
                'devices' => array_values(array_filter(array_map(
                    fn (Device $device): ?int => $device->roast_id === $roast->id ? $numbers[$device->id] : null, $devices,
                ), is_int(...))),
                'readings' => LogFile::readings($roast, $numbers),
                'events' => LogFile::events($roast),
            ], $roasts),
        ];
    }

    /** @throws InvalidInput at what cannot be read; nothing was taken in then */
    public static function read(mixed $data, User $cook): void
    {
        if (! is_array($data) || ($data['format'] ?? null) !== self::FORMAT || ($data['version'] ?? null) !== self::VERSION) {
            throw InvalidInput::atField('file', Message::of('kitchen.not_a_kitchen'));
        }
        $cook->adding(function () use ($data, $cook): void {
            self::insistOnRoom($data, $cook);
            foreach (self::list($data, 'cookers') as $i => $one) {
                $read = self::at("cookers.$i", fn () => CookerFile::read(is_array($one) ? $one : []));
                Yard::put($read->renamed(self::free($cook->cookers(), $read->name)), $cook);
            }
            foreach (self::list($data, 'mixes') as $i => $one) {
                $mix = self::at("mixes.$i", fn (): CoreMix => CoreMix::read(is_array($one) ? $one : []));
                $cook->mixes()->create(['name' => $mix->name, 'mix' => $mix->toArray()]);
            }
            foreach (self::list($data, 'sides') as $i => $one) {
                $side = self::at("sides.$i", fn () => OwnSideFile::read(is_array($one) ? $one : []));
                $cook->sides()->updateOrCreate(['name' => $side->name], ['side' => OwnSideFile::write($side)]);
            }
            $devices = self::devices(Fields::of($data), $cook);
            foreach (self::list($data, 'roasts') as $i => $one) {
                self::roast(is_array($one) ? $one : [], "roasts.$i", $cook, $devices);
            }
        });
    }

    /**
     * @param  array<array-key, mixed>  $data
     * @param  list<Device>  $devices
     */
    private static function roast(array $data, string $path, User $cook, array $devices): void
    {
        $roast = self::at("$path.file", fn () => RoastFile::read(is_array($data['file'] ?? null) ? $data['file'] : []));
        $fields = Fields::of($data);
        $stored = Shelf::put($roast, $cook);
        $log = self::at($path, function () use ($fields, $stored, $devices): LogFile {
            $log = LogFile::read($fields, $stored, $devices);
            $fields->orThrow();

            return $log;
        });
        $stored->debrief_note = $log->note;
        $stored->lighting = $log->lighting;
        $log->put($stored);
        foreach ($log->hanging as $number) {
            self::insistOnDishes($devices[$number], $number, $stored);
            $devices[$number]->update(['roast_id' => $stored->id]);
        }
        $stored->logged();
    }

    /** @throws InvalidInput where a probe is in a dish or a piece that is not there */
    private static function insistOnDishes(Device $device, int $number, Roast $roast): void
    {
        foreach ($device->probes as $i => $probe) {
            $path = "devices.$number.probes.$i";
            if ($probe->dish >= $roast->dishCount()) {
                throw InvalidInput::atField("$path.dish", Message::of('log.there_is_no_such_dish'));
            }
            if ($probe->piece > $pieces = $roast->pieces($probe->dish)) {
                throw InvalidInput::atField("$path.piece", Message::of('reading.no_such_piece', pieces: $pieces));
            }
        }
    }

    /** @return list<Device> */
    private static function devices(Fields $fields, User $cook): array
    {
        $devices = [];
        foreach ($fields->has('devices') ? $fields->list('devices', 'devices', 0, self::MOST['devices']) : [] as $one) {
            $probes = [];
            foreach ($one->has('probes') ? $one->list('probes', 'probes', 0, Probe::MOST_CHANNELS) : [] as $probe) {
                $place = LogFile::place($probe);
                $probes[] = new Probe(
                    $probe->wholeNumber('channel', 'channel', 1, Probe::MOST_CHANNELS), $probe->wholeNumber('dish', 'dish', 0, 19), $place,
                    LogFile::piece($probe),
                );
            }
            $devices[] = ['name' => $one->text('name', 'name', 80), 'probes' => $probes];
        }
        $fields->orThrow();
        $made = [];
        foreach ($devices as $device) {
            $made[] = $cook->devices()->create($device);
        }

        return $made;
    }

    /** @param  array<array-key, mixed>  $data */
    private static function insistOnRoom(array $data, User $cook): void
    {
        foreach (self::MOST as $what => $most) {
            if (count(self::list($data, $what)) + $cook->{$what}()->count() > $most) {
                throw InvalidInput::atField('file', Message::of('kitchen.too_full', most: $most, what: $what));
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $data
     * @return list<mixed>
     */
    private static function list(array $data, string $key): array
    {
        $list = $data[$key] ?? [];
        if (! is_array($list) || ! array_is_list($list)) {
            throw InvalidInput::atField('file', Message::of('kitchen.not_a_kitchen'));
        }

        return $list;
    }

    /** @param  HasMany<Cooker, User>  $there */
    private static function free(HasMany $there, string $name): string
    {
        $taken = $there->pluck('name')->all();
        for ($i = 2, $free = $name; in_array($free, $taken, true); $i++) {
            $free = mb_substr($name, 0, 74)." ($i)";
        }

        return $free;
    }

    /**
     * What a reader of one part says is wrong, at its place in the whole.
     *
     * @template T
     *
     * @param  \Closure(): T  $read
     * @return T
     */
    private static function at(string $path, \Closure $read): mixed
    {
        try {
            return $read();
        } catch (InvalidInput $wrong) {
            $messages = [];
            foreach ($wrong->messages as $key => $said) {
                $messages[rtrim("$path.$key", '.')] = $said;
            }
            throw InvalidInput::all($messages);
        }
    }
}
