<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\ReadingPlace;
use App\Models\Roast;
use Carbon\CarbonImmutable;
use Diatherm\Measure\Fields;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Readings as CSV (RFC 4180): time with offset, dish from 1, place, piece from 1, °C, id. */
final class ReadingsCsv
{
    private const HEADER = ['time', 'dish', 'place', 'piece', 'celsius', 'id'];

    private const MOST_BYTES = 1_048_576;

    private const BYTE_ORDER_MARK = "\xEF\xBB\xBF";

    private const MOST_ROWS = 5000;

    /** Ids for rows that have none are made from the row, so that the same file twice adds nothing. */
    private const NAMESPACE = '6f1d3c52-6f0b-5a6e-9a53-2f6a3b7c9d10';

    public static function write(Roast $roast): string
    {
        $rows = [implode(',', self::HEADER)];
        foreach ($roast->readings as $reading) {
            $rows[] = implode(',', [
                $reading->at->setTimezone($roast->time_zone)->format('Y-m-d\TH:i:s.vP'),
                $reading->dish + 1,
                $reading->place->value,
                $reading->piece,
                json_encode($reading->celsius),
                $reading->client_id,
            ]);
        }

        return implode("\r\n", $rows)."\r\n";
    }

    /** @throws InvalidInput with a message for each row that cannot be used; then nothing is stored */
    public static function read(string $csv, Roast $roast): int
    {
        if (strlen($csv) > self::MOST_BYTES) {
            throw InvalidInput::atField('file', Message::of('file.too_large', kb: intdiv(self::MOST_BYTES, 1024)));
        }
        if (! mb_check_encoding($csv, 'UTF-8')) {
            throw InvalidInput::atField('file', Message::of('readings_csv.the_file_is_not_text'));
        }
        $lines = explode(
            "\n",
            strtr(trim(str_starts_with($csv, self::BYTE_ORDER_MARK) ? substr($csv, 3) : $csv), ["\r\n" => "\n", "\r" => "\n"]),
        );
        $header = array_map(fn (?string $name): string => trim((string) $name), str_getcsv(array_shift($lines), escape: ''));
        if (array_diff(['time', 'place', 'celsius'], $header) !== []) {
            throw InvalidInput::atField('file', Message::of('readings_csv.the_first_line_must_name', header: self::HEADER));
        }
        if ($lines === [] || count($lines) > self::MOST_ROWS) {
            throw InvalidInput::atField('file', Message::of('readings_csv.there_must_be_to_rows', most_rows: self::MOST_ROWS));
        }
        $rows = [];
        foreach ($lines as $i => $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = str_getcsv($line, escape: '');
            $rows[] = count($cells) === count($header)
                ? array_combine($header, $cells) + ['dish' => '1', 'piece' => '1']
                : throw InvalidInput::atField(
                    'rows.'.$i,
                    Message::of('readings_csv.row_has_values_where_are', row: $i + 1, cells: count($cells), wanted: count($header)),
                );
        }
        $fields = Fields::of(['rows' => $rows]);
        $readings = array_map(fn (Fields $row): array => self::row($row, $roast), $fields->list('rows', 'rows', 1, self::MOST_ROWS));
        $fields->orThrow();

        return DB::transaction(function () use ($readings, $roast): int {
            $row = $roast->held();
            $there = $roast->readings()->pluck('client_id')->flip()->all();
            $new = array_values(
                array_filter(
                    array_column($readings, null, 'client_id'),
                    fn (array $reading): bool => ! isset($there[$reading['client_id']]),
                ),
            );
            if (count($there) + count($new) > Roast::MOST_READINGS) {
                throw InvalidInput::atField('file', Message::of('readings_csv.the_log_of_one_roast', most_readings: Roast::MOST_READINGS));
            }
            $roast->readings()->createMany($new);
            $row->logged();

            return count($new);
        });
    }

    /** @return array{client_id: string, dish: int, at: CarbonImmutable, place: string, piece: int, celsius: float} */
    private static function row(Fields $row, Roast $roast): array
    {
        $at = EntryRules::moment($row, 'time', $roast);
        $place = $row->text('place', 'place', 20);
        if ($place !== '' && ReadingPlace::tryFrom($place) === null) {
            $row->refuse('place', Message::of('readings_csv.the_place_is_one', cases: array_column(ReadingPlace::cases(), 'value')));
        }
        $dish = $row->wholeNumber('dish', 'dish', 1, $roast->dishCount(), 1) - 1;
        $piece = $row->wholeNumber('piece', 'piece', 1, $roast->pieces($dish), 1);
        $celsius = EntryRules::celsius($row, 'celsius', ReadingPlace::tryFrom($place));
        $id = $row->text('id', 'id', 36, '');
        if ($id !== '' && ! Str::isUuid($id)) {
            $row->refuse('id', Message::of('readings_csv.the_id_must'));
        }

        return [
            'client_id' => $id !== ''
                ? $id
                : \Ramsey\Uuid\Uuid::uuid5(self::NAMESPACE, implode('|', [$at->format('U.v'), $dish, $place, $celsius, ...($piece === 1 ? [] : [$piece])]))->toString(),
            'dish' => $dish,
            'at' => $at,
            'place' => $place,
            'piece' => $piece,
            'celsius' => $celsius,
        ];
    }
}
