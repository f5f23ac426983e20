<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;

/** A way of cooking that a cook starts from and makes their own. Rows: data/beginnings.json. */
final readonly class Beginning
{
    /**
     * @param  string  $called  what people look for it by
     * @param  string  $about  what is special in it
     * @param  float  $leadHours  from the first thing to do to the table
     * @param  int  $people  whom its dishes feed
     * @param  string|null  $grows  mass or pieces, what there is more of for more people; null for as many as it is
     * @param  array<string, mixed>  $file  a roast's, but for its hour
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $called,
        public string $about,
        public float $leadHours,
        public int $people,
        public ?string $grows,
        public array $file,
    ) {
    }

    /** @return array<string, self> by id */
    public static function all(): array
    {
        $all = [];
        /** @var list<array{id: string, name: string, called: string, about: string, lead_hours: int|float, people: int, grows: string|null,
         *   roast: array<string, mixed>}> $rows
         */
        $rows = Table::named('beginnings')['beginnings'];
        foreach ($rows as $row) {
            $all[$row['id']] = new self(
                $row['id'], $row['name'], $row['called'], $row['about'], (float) $row['lead_hours'], $row['people'], $row['grows'],
                $row['roast'],
            );
        }

        return $all;
    }

    /** The roast at an hour. */
    public function at(\DateTimeImmutable $serveAt): Roast
    {
        return RoastFile::read(['serve_at' => $serveAt->format(\DateTimeInterface::ATOM), 'people' => $this->people] + $this->file);
    }

    public static function source(): Source
    {
        return Source::of(Mark::Common);
    }
}
