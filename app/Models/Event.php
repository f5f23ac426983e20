<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;

/**
 * Something the cook did.
 *
 * @property string $client_id made by the device that logged it, so that it can be sent twice
 * @property int|null $dish position
 * @property CarbonImmutable $at
 * @property EventKind $kind
 * @property int|null $stage
 * @property string|null $entry
 * @property float|null $minutes
 * @property string|null $note
 * @property array<string, float>|null $settings of the cooker
 * @property float|null $celsius that it was set for
 * @property bool $by_hands whether a second pair of hands ticked it
 * @property array{id: string, values: array<string, mixed>}|null $words of a way that was taken
 * @property array{inputs: array<string, mixed>, then: string, events: list<string>}|null $before how the plan stood before that way, and
 *     the mark of how it stood after it
 */
final class Event extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['client_id', 'dish', 'at', 'kind', 'stage', 'entry', 'minutes', 'note', 'settings', 'celsius', 'words', 'before', 'by_hands'];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /**
     * The last of that kind, unless it was taken back since, or what it rests on does not stand.
     *
     * @param  Collection<int, self>  $events  in order of time
     */
    public static function standing(Collection $events, EventKind $kind, ?int $dish): ?self
    {
        $last = $events->last(
            fn (self $event): bool => $event->dish === $dish && in_array($event->kind, [$kind, $kind->takenBackBy()], true),
        );

        $under = $kind->restsOn();

        return $last?->kind === $kind && ($under === null || self::standing($events, $under, $dish) !== null) ? $last : null;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'settings' => 'array', 'words' => 'array', 'before' => 'array', 'kind' => EventKind::class, 'by_hands' => 'boolean'];
    }
}
