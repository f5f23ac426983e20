<?php

declare(strict_types=1);

use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Day\EntryId;
use Diatherm\Day\Hands;
use Diatherm\Measure\Message;
use Tests\Support\Samples;

// Days of three or four lines, small enough to be laid out with pencil and paper. What each line asks of hands: data/hands.json.

/**
 * @param  list<array{0: string, 1: float, 2?: float, 3?: int|string, 4?: string|null}>  $lines  what it is, minutes from four o'clock,
 *     minutes of hands where they are not the usual ones, and a part of its name
 * @return array<string, string> by what each is: minutes from four, and with what it clashes
 */
function byHand(array $lines, int $hands = 1, string $cooker = 'oven'): array
{
    $chores = [['do' => 'baste', 'every_minutes' => 60], ['do' => 'stock', 'every_minutes' => 60], ['do' => 'turn', 'every_minutes' => 60]];
    $roast = Samples::roast(['stages' => [['cooker' => $cooker, 'cooker_c' => 163, 'pull' => true, 'chores' => $chores]]], ['hands' => $hands]);
    $four = new DateTimeImmutable('2031-10-04T16:00:00+02:00');
    $at = fn (float $minutes): DateTimeImmutable => $four->setTimestamp($four->getTimestamp() + (int) round(60.0 * $minutes));
    $entries = [];
    foreach ($lines as [$what, $minutes]) {
        $line = $lines[count($entries)];
        $number = ['baste' => 0, 'stock' => 1, 'turn' => 2][$what] ?? null;
        $id = match (true) {
            $number !== null => EntryId::of('chore', 0, 0, $number, 0),
            in_array($what, ['ready', 'side_on', 'side_off'], true) => EntryId::of('side', null, 'greens', str_replace('side_', '', $what)),
            in_array($what, ['refuel', 'close', 'quarter'], true) => EntryId::ofFire('kettle', $what),
            default => EntryId::of($what, 0),
        };
        $entries[] = new Entry(
            $id, str_starts_with($id->what, 'side') ? null : 0, $number === null ? Act::Rig : Act::Chore, $at($minutes), Message::of('words.text', text: $what), null,
            earliest: isset($line[3]) ? $at((float) $line[3]) : null, minutes: $line[2] ?? null,
        );
    }
    $said = [];
    foreach (Hands::arrange($entries, $roast) as $i => $entry) {
        $clash = $entry->clash === null ? '' : ' clashes with '.(preg_match('/“(.*?)”/u', said($entry->clash), $found) === 1 ? $found[1] : '?');
        $said[$lines[$i][0]] = round(($entry->at->getTimestamp() - $four->getTimestamp()) / 60.0, 3).$clash;
    }

    return $said;
}

it('begins what can be left so much sooner as other work takes out of it', function () {
    // Fifteen minutes of rigging; two for putting the other on in the middle of it.
    expect(byHand([['rig', 0.0], ['on', 5.0]]))->toBe(['rig' => '-2', 'on' => '5'])
        // The other begins as it ends, or ends as it begins: nothing to give way to.
        ->and(byHand([['rig', 0.0], ['on', 15.0]]))->toBe(['rig' => '0', 'on' => '15'])
        ->and(byHand([['rig', 0.0], ['on', -2.0]]))->toBe(['rig' => '0', 'on' => '-2'])
        // Two things in it, and a third that begins where it then would.
        ->and(byHand([['rig', 0.0], ['on', 5.0], ['pull', 9.0], ['earth', -10.0]]))->toBe(['rig' => '-13', 'on' => '5', 'pull' => '9', 'earth' => '-10'])
        ->and(byHand([['rig', 0.0, 4.505], ['on', 10.0]]))->toBe(['rig' => '0', 'on' => '10'])
        // It is laid in half minutes back from when it has to be done, the last one as short as it is: of the 75 seconds after the other
        // one fits two, of the minute before it one; a quarter of a minute is left over.
        ->and(byHand([['rig', 0.0, 4.25], ['on', 1.0]]))->toBe(['rig' => '-2.5', 'on' => '1'])
        // A second pair of hands has nothing to do with it.
        ->and(byHand([['rig', 0.0], ['on', 5.0]], hands: 2))->toBe(['rig' => '0', 'on' => '5'])
        ->and(byHand([['rig', 0.0], ['on', 5.0], ['pull', 5.5]], hands: 2))->toBe(['rig' => '-1.5', 'on' => '5', 'pull' => '5.5']);
});

it('does one piece of handwork after another, each before the next', function () {
    // Out of the cold at ten to, two minutes; rigged from four; both before it goes on at a quarter past.
    expect(byHand([['take_out', -2.0], ['rig', 0.0], ['on', 15.0]]))->toBe(['take_out' => '-2', 'rig' => '0', 'on' => '15'])
        // What pushes the rigging forward pushes what comes before it, and no further than it must.
        ->and(byHand([['take_out', -2.0], ['rig', 0.0], ['pull', 5.0]]))->toBe(['take_out' => '-4', 'rig' => '-2', 'pull' => '5'])
        ->and(byHand([['take_out', -10.0], ['rig', 0.0], ['pull', 5.0]]))->toBe(['take_out' => '-10', 'rig' => '-2', 'pull' => '5'])
        // The knife is no part of what is done before it goes on.
        ->and(byHand([['carve', 0.0, 6.0], ['on', 2.0]]))->toBe(['carve' => '-2', 'on' => '2'])
        ->and(byHand([['ready', 0.0], ['on', 2.0]]))->toBe(['ready' => '-2', 'on' => '2']);
});

it('begins nothing more than an hour before its time, nor before it may be', function () {
    // Hands are away from ten to four until ten to five: fifty minutes of work planned for four o'clock still fit, just.
    expect(byHand([['rig', 0.0, 50.0], ['on', -10.0, 60.0]]))->toBe(['rig' => '-60', 'on' => '-10'])
        // Half a minute more does not: it stays where it was, and is told, at the one that begins later.
        ->and(byHand([['rig', 0.0, 50.5], ['on', -10.0, 60.5]]))->toBe(['rig' => '0 clashes with on', 'on' => '-10'])
        // A quarter of an hour by a quarter past, round two minutes: from two minutes to four, where that is allowed.
        ->and(byHand([['rig', 0.0, 15.0, -2], ['on', 5.0]]))->toBe(['rig' => '-2', 'on' => '5'])
        ->and(byHand([['rig', 0.0, 15.0, -1], ['on', 5.0]]))->toBe(['rig' => '0', 'on' => '5 clashes with rig']);
});

it('moves what has room out of the way of what has none, no further than its room', function () {
    // Two minutes at the lid of the oven. Basting, two minutes, has four to either side: right behind it or right before it.
    expect(byHand([['on', 0.0], ['baste', 1.0]]))->toBe(['on' => '0', 'baste' => '2'])
        ->and(byHand([['on', 0.0], ['baste', -1.0]]))->toBe(['on' => '0', 'baste' => '-2'])
        // Six minutes stood by: it would have to go further than four. It is done meanwhile, and that is told.
        ->and(byHand([['on', 0.0, 12.0], ['baste', 5.5]]))->toBe(['on' => '0', 'baste' => '5.5 clashes with on'])
        ->and(byHand([['on', 0.0, 12.0], ['baste', 8.0]]))->toBe(['on' => '0', 'baste' => '12'])
        ->and(byHand([['on', 0.0, 12.0], ['baste', 2.0]]))->toBe(['on' => '0', 'baste' => '-2'])
        // Half a minute short of room it goes as far as it may, and the rest is done in passing; a minute short, that is told as well.
        ->and(byHand([['on', 0.0, 12.0], ['baste', 7.5]]))->toBe(['on' => '0', 'baste' => '11.5'])
        ->and(byHand([['on', 0.0, 12.0], ['baste', 2.5]]))->toBe(['on' => '0', 'baste' => '-1.5'])
        ->and(byHand([['on', 0.0, 12.0], ['baste', 7.0]]))->toBe(['on' => '0', 'baste' => '11 clashes with on'])
        ->and(byHand([['on', 0.0, 12.0], ['baste', 3.0]]))->toBe(['on' => '0 clashes with baste', 'baste' => '-1']);
});

it('calls nothing a clash that is over in passing', function () {
    // Of what has its hour, three quarters of a minute are nothing; a second more is told.
    expect(byHand([['on', 0.0], ['pull', 1.25]]))->toBe(['on' => '0', 'pull' => '1.25'])
        ->and(byHand([['on', 0.0], ['pull', 1.2334]]))->toBe(['on' => '0', 'pull' => '1.233 clashes with on'])
        // Said once for two, at the one that begins later; of two that begin at once, at the one that is written below.
        ->and(byHand([['pull', 0.0], ['on', 0.0]]))->toBe(['pull' => '0', 'on' => '0 clashes with pull'])
        // Three at once are too many for two pairs of hands, two are not.
        ->and(byHand([['on', 0.0], ['pull', 0.0]], hands: 2))->toBe(['on' => '0', 'pull' => '0'])
        ->and(array_filter(byHand([['on', 0.0], ['pull', 0.0], ['earth', 0.0]], hands: 2), fn (string $at): bool => $at !== '0'))->toHaveKeys(['earth'])->toHaveCount(1);
});

it('goes four minutes out of its way to lift a lid once, and no more', function () {
    // Put on at four, two minutes, the lid off; the stock has five minutes of room.
    expect(byHand([['on', 0.0], ['stock', 5.0]]))->toBe(['on' => '0', 'stock' => '2'])
        ->and(byHand([['on', 0.0], ['stock', 5.9]]))->toBe(['on' => '0', 'stock' => '2'])
        // Four minutes: as far as one lift is worth, it stays where it was asked for.
        ->and(byHand([['on', 0.0], ['stock', 6.0]]))->toBe(['on' => '0', 'stock' => '6'])
        ->and(byHand([['on', 0.0], ['stock', 6.5]]))->toBe(['on' => '0', 'stock' => '6.5'])
        ->and(byHand([['on', 0.0], ['stock', -4.0]]))->toBe(['on' => '0', 'stock' => '-1'])
        // Another cooker's lid, or a thing for which none is lifted, draws nothing.
        ->and(byHand([['refuel', 0.0], ['stock', 5.0]]))->toBe(['refuel' => '0', 'stock' => '5'])
        ->and(byHand([['close', 0.0], ['stock', 4.0]]))->toBe(['close' => '0', 'stock' => '4']);
});

it('keeps a minute between the table and the fire, where there is one pair of legs', function () {
    // Keeping it hot is done in the kitchen, with three minutes sooner and two later; what is at the fire ends half a minute before it.
    expect(byHand([['on', 0.0], ['hold', 2.5]]))->toBe(['on' => '0', 'hold' => '3'])
        ->and(byHand([['on', 0.0], ['hold', -2.5]]))->toBe(['on' => '0', 'hold' => '-3'])
        ->and(byHand([['on', 0.0], ['hold', 3.0]]))->toBe(['on' => '0', 'hold' => '3'])
        // A whole minute off its hour is as dear as the walk.
        ->and(byHand([['on', 0.0], ['hold', 2.0]]))->toBe(['on' => '0', 'hold' => '2'])
        ->and(byHand([['on', 0.0], ['hold', 2.5]], hands: 2))->toBe(['on' => '0', 'hold' => '2.5'])
        // A refuel at the same fire needs no walk.
        ->and(byHand([['on', 0.0], ['refuel', 2.5]]))->toBe(['on' => '0', 'refuel' => '2.5']);
});

it('finds what lies hours apart as it finds what lies beside it', function () {
    // Three hours of shovelling reach over many half hours of the day; what falls into any of them is told.
    foreach ([5.0, 44.0, 91.0, 150.0, 176.0] as $minute) {
        expect(byHand([['earth', 0.0, 180.0], ['pull', $minute]]))->toBe(['earth' => '0', 'pull' => "$minute clashes with earth"]);
    }
    expect(byHand([['on', 0.0, 180.0], ['pull', 180.0]]))->toBe(['on' => '0', 'pull' => '180']);
});
