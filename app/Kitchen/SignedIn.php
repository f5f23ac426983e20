<?php

declare(strict_types=1);

namespace App\Kitchen;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Where a cook is signed in. The id of a session opens its door, so a place is told by a hash of it. */
final class SignedIn
{
    /** What a browser says of itself, shortened to what its owner would call it. */
    private const SYSTEMS = [
        'iPhone' => 'iPhone', 'iPad' => 'iPad', 'Android' => 'Android', 'Windows' => 'Windows', 'Mac OS' => 'Mac', 'Linux' => 'Linux',
    ];

    /** @return list<array{id: string, system: string|null, seen_at: string, here: bool}> the newest first */
    public static function places(User $cook, string $here): array
    {
        return array_values(self::of($cook)->orderByDesc('last_activity')->get()->map(fn (object $row): array => [
            'id' => self::mark($row->id),
            'system' => self::system((string) $row->user_agent),
            'seen_at' => CarbonImmutable::createFromTimestampUTC($row->last_activity)->toAtomString(),
            'here' => $row->id === $here,
        ])->all());
    }

    public static function end(User $cook, string $place): void
    {
        foreach (self::of($cook)->pluck('id') as $id) {
            if (self::mark($id) === $place) {
                self::of($cook)->where('id', $id)->delete();
            }
        }
    }

    /** @param  string|null  $but  the session that stays; null for none */
    public static function endOthers(User $cook, ?string $but): void
    {
        self::of($cook)->when($but !== null, fn (Builder $query) => $query->where('id', '!=', $but))->delete();
    }

    private static function of(User $cook): Builder
    {
        return DB::table('sessions')->where('user_id', $cook->id);
    }

    private static function mark(string $id): string
    {
        return substr(hash('sha256', $id), 0, 24);
    }

    private static function system(string $agent): ?string
    {
        foreach (self::SYSTEMS as $part => $name) {
            if (str_contains($agent, $part)) {
                return $name;
            }
        }

        return null;
    }
}
