<?php

declare(strict_types=1);

use Diatherm\Food\Mix;
use Diatherm\Measure\PlainText;
use Diatherm\Roast\RoastFile;

// Unicode Standard Annex 9, 2.1 to 2.4: embeddings U+202A and B, their end U+202C, overrides U+202D and E, isolates U+2066 to 2069.
it('knows every mark that turns the direction of text, and every control character', function () {
    $controls = [...array_diff(range(0, 0x1F), [0x09, 0x0A, 0x0D]), ...range(0x7F, 0x9F)];
    foreach ([...range(0x202A, 0x202E), ...range(0x2066, 0x2069), ...$controls, 0x2028, 0x2029] as $code) {
        expect(PlainText::isPlain('Supper'.mb_chr($code).' at six', lines: true))->toBeFalse(sprintf('U+%04X', $code));
    }
});

it('leaves what people write as it is', function (string $text) {
    expect(PlainText::isPlain($text, lines: false))->toBeTrue();
})->with(['Zoë’s 30 °C', 'عشاء', 'ארוחת ערב', '🔥👨‍👩‍👧', 'Łódź', "non\u{00A0}breaking", "e\u{0301}"]);

it('takes lines where there is room for them alone', function () {
    expect(PlainText::isPlain("one\ntwo", lines: true))->toBeTrue()->and(PlainText::isPlain("one\ntwo", lines: false))->toBeFalse();
    $mix = ['name' => 'Rub', 'kind' => 'rub', 'basis' => 'per_kg', 'items' => [['amount' => 10, 'unit' => 'g', 'what' => 'salt']]];
    expect(Mix::read(['method' => "Mix.\nRest."] + $mix)->method)->toContain('Rest')
        ->and(fn () => Mix::read(['name' => "Rub\u{202E}"] + $mix))->toRefuse('none that turn');
});

// Common sense: what was cooked before and after these years is not cooked here.
it('takes dates from 1970 to 2100', function (string $at, bool $taken) {
    $read = fn () => RoastFile::read(
        ['serve_at' => $at, 'dishes' => [['cut' => 'chicken', 'mass_kg' => 1.8, 'stages' => [['cooker' => 'kettle', 'cooker_c' => 180]]]]],
    );
    $taken ? expect($read()->serveAt->format('Y'))->toBe(substr($at, 0, 4)) : expect($read)->toRefuse('not a date');
})->with([
    ['1970-01-01T00:00:00Z', true], ['1969-12-31T23:59:59Z', false], ['2099-12-31T23:59:59Z', true],
    ['2100-01-01T00:00:00Z', false], ['0001-01-01T00:00:00Z', false], ['9999-12-31T00:00:00Z', false],
]);
