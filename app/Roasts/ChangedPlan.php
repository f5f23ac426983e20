<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Event;
use App\Models\EventKind;
use App\Models\Roast;
use App\Words\Voice;
use Carbon\CarbonImmutable;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Roast\RoastFile;
use Diatherm\Ways\Offer;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** A way that was taken on the day: the plan as it is from then on, what was logged with it, and all of it back again. */
final class ChangedPlan
{
    /** An offer stands for so long: later the fire has moved on. */
    private const STANDS_S = 1200;

    /** Before the id of one that was undone: it can be taken back as it was, at its own hour. */
    public const BACK = 'back_';

    /** @param  list<Offer>  $offers  kept until one is taken */
    public static function offer(Roast $roast, array $offers): void
    {
        foreach ($offers as $offer) {
            Cache::put(self::key($roast, $offer->way->id), [
                'from' => self::mark($roast->inputs),
                'inputs' => RoastFile::write($offer->way->roast),
                'begun' => $offer->way->begun,
                'words' => json_encode($offer->way->title, JSON_THROW_ON_ERROR),
            ], self::STANDS_S);
        }
    }

    /**
     * @param  string  $id  made by the device: sent twice, it is taken once
     *
     * @throws InvalidInput when it was not offered, or not of the plan as it is
     */
    public static function take(Roast $roast, string $way, string $id, CarbonImmutable $now): void
    {
        DB::transaction(function () use ($roast, $way, $id, $now): void {
            $row = $roast->held();
            if ($row->events()->where('client_id', $id)->exists()) {
                return;
            }
            /** @var array{from: string, inputs: array<string, mixed>, begun: array<int, int>, words: string, at?: string}|null $offer */
            $offer = Cache::get(self::key($row, $way));
            if ($offer === null || $offer['from'] !== self::mark($row->inputs)) {
                throw InvalidInput::atField('way', Message::of('ways.ask_again'));
            }
            $at = isset($offer['at']) ? CarbonImmutable::parse($offer['at']) : $now;
            $begins = [];
            foreach ($offer['begun'] as $dish => $stage) {
                $begins[] = $begin = (string) Str::uuid();
                $row->events()->create(['client_id' => $begin, 'dish' => $dish, 'at' => $at, 'kind' => EventKind::Stage, 'stage' => $stage]);
            }
            $row->events()->create([
                'client_id' => $id, 'dish' => null, 'at' => $at, 'kind' => EventKind::Way,
                'words' => json_decode($offer['words'], true, 16, JSON_THROW_ON_ERROR),
                'before' => ['inputs' => $row->inputs, 'then' => self::mark($offer['inputs']), 'events' => $begins],
            ]);
            self::put($row, $offer['inputs']);
            $row->logged();
        });
        $roast->refresh()->unsetRelations();
    }

    /**
     * Puts the plan back as it was before; within the transaction that holds its row.
     *
     * @throws ConflictHttpException when it was changed again since
     */
    public static function undo(Roast $row, Event $taken): void
    {
        if ($taken->before === null) {
            return;
        }
        if ($taken->before['then'] !== self::mark($row->inputs)) {
            throw new ConflictHttpException(Voice::ofTheReader()->say(Message::of('ways.changed_since')));
        }
        $begins = $row->events()->whereIn('client_id', $taken->before['events']);
        Cache::put(self::key($row, self::BACK.$taken->client_id), [
            'from' => self::mark($taken->before['inputs']),
            'inputs' => $row->inputs,
            'begun' => (clone $begins)->pluck('stage', 'dish')->all(),
            'words' => json_encode($taken->words, JSON_THROW_ON_ERROR),
            'at' => $taken->at->toIso8601ZuluString('millisecond'),
        ], self::STANDS_S);
        self::put($row, $taken->before['inputs']);
        $begins->delete();
    }

    /** @param  array<string, mixed>  $inputs */
    private static function put(Roast $row, array $inputs): void
    {
        $roast = RoastFile::read($inputs);
        $row->inputs = $inputs;
        $row->serve_at = CarbonImmutable::instance($roast->serveAt)->utc();
    }

    /** @param  array<string, mixed>  $inputs */
    private static function mark(array $inputs): string
    {
        return hash('xxh128', json_encode(RoastFile::write(RoastFile::read($inputs)), JSON_THROW_ON_ERROR));
    }

    private static function key(Roast $roast, string $way): string
    {
        return "way.$roast->id.$way";
    }
}
