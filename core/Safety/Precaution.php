<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;

/** What can hurt on any day of roasting, and what is done about it; defers to local codes, makers and licensed trades. */
final readonly class Precaution
{
    /** @param  string  $called  what people look for it by */
    private function __construct(
        public string $id,
        public string $name,
        public string $called,
        public string $words,
        public Source $source,
    ) {
    }

    /** @return list<self> what hurts most comes first */
    public static function all(): array
    {
        /** @var list<array{id: string, name: string, called: string, words: string, mark: string, citation?: string}> $rows */
        $rows = Table::named('cautions')['cautions'];

        return array_map(fn (array $row): self => new self(
            $row['id'], $row['name'], $row['called'], $row['words'], Source::of(Mark::from($row['mark']), $row['citation'] ?? ''),
        ), $rows);
    }
}
