<?php

declare(strict_types=1);

// Every message with sample values and what the server says of it, in both sets of units, as JSON: the browser's voice is held
// against this by resources/js/words/words.test.ts.

use App\Words\Voice;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;

require __DIR__.'/../../vendor/autoload.php';

/** @var list<Quantity|Message|DateTimeImmutable|string|int|list<Message|string>> $values */
$values = [
    'Leg of lamb', '“O’Brien’s” <b> {x} # 1', 0, 1, 2, 7, 1200,
    Message::of('settings.set_to', set: Quantity::celsius(176.6667)), Message::note(Message::of('sheet.lid_down'), Message::of('fire_task.lid_down')),
    ['kettle', 'gas'], [Message::of('sheet.lid_down'), 'épaule'], new DateTimeImmutable('2031-10-26T00:30:00+02:00'), Quantity::celsius(INF),
];
foreach (Unit::cases() as $unit) {
    foreach ([-2.5, -0.2, 0.0, 0.2, 0.4536, 0.999, 1.005, 57.5, 119.5, 1234.25] as $value) {
        $values[] = Quantity::of($value, $unit, [0, 1, 2, null][(int) abs(10 * $value) % 4]);
    }
}
$voices = ['c' => Voice::inUnits('c', 'kg'), 'f' => Voice::inUnits('f', 'lb', 12)];
$next = 0;
$cases = [];
foreach (Voice::sentences() as $id => $sentence) {
    if (str_ends_with($id, '.between')) {
        continue;
    }
    preg_match_all('/\{([a-z_0-9]+)(\}|, (?:plural|select),)/', $sentence, $places, PREG_SET_ORDER);
    for ($i = 0; $i < 8; $i++) {
        $given = [];
        foreach ($places as [, $name, $kind]) {
            preg_match_all('/(?:\G|[{ ])([a-z]+) \{/', $sentence, $keys);
            $given[$name] ??= match (true) {
                str_contains($kind, 'plural') => [0, 1, 2, 8, 11, 18, 25, 1200][$i],
                str_contains($kind, 'select') => [...array_diff($keys[1], ['plural', 'select', 'other']), 'no such'][$i % (count($keys[1]) + 1)] ?? 'no such',
                in_array($id, [Message::NOTES, Message::SENTENCES, 'words.list'], true) => [Message::of('fire_task.lid_down'), Message::of('phase.settled')],
                default => $values[$next++ % count($values)],
            };
        }
        $message = Message::of($id, ...$given);
        $cases[] = ['message' => $message, 'said' => array_map(fn (Voice $voice): string => $voice->say($message), $voices)];
        if ($places === []) {
            break;
        }
    }
}
echo json_encode($cases, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
