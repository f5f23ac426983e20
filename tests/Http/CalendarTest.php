<?php

declare(strict_types=1);

use App\Models\User;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Node;
use Sabre\VObject\Reader;

// Source: RFC 5545, Internet Calendaring and Scheduling Core Object Specification; checked by a reference library besides.

/** @return array<string, VEvent> by id */
function eventsOf(string $text): array
{
    $calendar = Reader::read($text);
    assert($calendar instanceof VCalendar);
    $problems = array_filter($calendar->validate(), fn (array $problem): bool => $problem['level'] > 1);
    expect(array_column($problems, 'message'))->toBe([]);
    $events = [];
    foreach ($calendar->select('VEVENT') as $event) {
        $events[(string) $event->UID] = $event;
    }

    return $events;
}

it('gives the run sheet to a calendar, line by line, at the right moment and in the reader’s units', function () {
    $this->actingAs(User::factory()->inPoundsAndFahrenheit()->create());
    $roast = App\Models\Roast::findOrFail($this->postJson('/api/roasts', Tests\Support\Samples::file(['name' => 'Rib; with, commas'], [
        'serve_at' => now()->addDays(2)->toAtomString(), 'sides' => [['side' => 'greens']],
    ]))->json('id'));
    $answer = $this->get("/api/roasts/$roast->id/run-sheet.ics")->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
    $events = eventsOf((string) $answer->content());
    $sheet = $this->getJson("/api/roasts/$roast->id")->json('plan.run_sheet');
    expect($events)->toHaveCount(count($sheet));
    foreach ($sheet as $entry) {
        $event = $events["$roast->id.{$entry['id']}@diatherm"];
        expect($event->DTSTART->getDateTime()->getTimestamp())->toBe(strtotime($entry['at']))
            ->and($event->DTEND->getDateTime() > $event->DTSTART->getDateTime())->toBeTrue()
            ->and((string) $event->CATEGORIES)->toBe($entry['act']);
    }
    expect((string) $events["$roast->id.d0.on@diatherm"]->SUMMARY)->toBe('Rib; with, commas on')
        ->and((string) $events["$roast->id.d0.preheat@diatherm"]->SUMMARY)->toContain('302 °F')
        ->and((string) $events["$roast->id.d0.pull@diatherm"]->VALARM->TRIGGER)->toBe('-PT5M')
        ->and($events["$roast->id.d0.rest@diatherm"]->VALARM)->toBeNull();
    // Lines of 75 octets at most, ended by CR LF.
    foreach (explode("\r\n", (string) $answer->content()) as $line) {
        expect(strlen($line))->toBeLessThanOrEqual(75)->and($line)->not->toContain("\n");
    }
});

it('moves what is there when the table moves: the same ids, a later sequence, and no bell for what is done', function () {
    $roast = $this->roast();
    $before = eventsOf((string) $this->get("/api/roasts/$roast->id/run-sheet.ics")->content());
    $file = $this->getJson("/api/roasts/$roast->id")->json('file');
    $this->changeRoast($roast->id, ['serve_at' => now()->addHours(5)->toAtomString()] + $file)->assertOk();
    $this->log($roast, 'tick', 0, ['dish' => null, 'entry' => 'd0.light'])->assertOk();
    $after = eventsOf((string) $this->get("/api/roasts/$roast->id/run-sheet.ics")->content());
    $id = "$roast->id.d0.pull@diatherm";
    expect(array_keys($after))->toEqualCanonicalizing(array_keys($before))
        ->and((int) (string) $after[$id]->SEQUENCE)->toBeGreaterThan((int) (string) $before[$id]->SEQUENCE)
        ->and($after[$id]->DTSTART->getDateTime()->getTimestamp() - $before[$id]->DTSTART->getDateTime()->getTimestamp())->toEqualWithDelta(3600, 120)
        ->and($after["$roast->id.d0.light@diatherm"]->VALARM)->toBeNull()
        ->and($before["$roast->id.d0.light@diatherm"]->VALARM)->toBeInstanceOf(Node::class);
});

it('gives no calendar to anyone else, and says what is wrong with a roast that cannot be worked out', function () {
    $roast = $this->roast();
    $kept = $roast->fresh();
    $kept->inputs = ['dishes' => [['cut' => 'mammoth']]] + $kept->inputs;
    $kept->save();
    $this->getJson("/api/roasts/$roast->id/run-sheet.ics")->assertUnprocessable();
    $this->actingAs($this->cook());
    $this->getJson("/api/roasts/$roast->id/run-sheet.ics")->assertNotFound();
});
