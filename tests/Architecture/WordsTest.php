<?php

declare(strict_types=1);

use App\Words\Voice;
use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Scalar\InterpolatedString;
use PhpParser\Node\Scalar\String_;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;

// One voice: every sentence stands in lang/en.json, and the code names it.

/** What speaks to developers, the demo's own invented texts, and the voice, which knows what units are called. */
const SPEAKS_ITSELF = [
    'NumbersCommand.php', 'SweepCommand.php', 'DemoKitchen.php', 'Voice.php',
    // To who runs it, to browsers, and what databases and browsers say of themselves.
    'HealthController.php', 'SafeHeaders.php', 'LostNode.php', 'Unable.php', 'SignedIn.php',
];

/** Exceptions that no cook sees, citations, and what PHP and Laravel want as text. */
const NOT_SAID = ['LogicException', 'RuntimeException', 'Source', 'preg_match', 'preg_match_all', 'preg_replace', 'preg_split', 'header', 'hash'];

/** @return array<string, list<Node>> the statements of each file of the core and the app */
function parsed(): array
{
    static $parsed = [];
    if ($parsed === []) {
        $parser = (new ParserFactory)->createForHostVersion();
        foreach ([...filesIn('core'), ...filesIn('app')] as $file) {
            $parsed[$file] = $parser->parse((string) file_get_contents($file)) ?? [];
        }
    }

    return $parsed;
}

/** @return list<string> names of the values that stand in a sentence */
function placesIn(string $sentence): array
{
    $places = [];
    // The outermost braces first: a place by its name alone, or a choice whose branches are sentences again.
    preg_match_all('/\{((?:[^{}]|\{(?:[^{}]|\{[^{}]*\})*\})*)\}/', $sentence, $found);
    foreach ($found[1] as $inside) {
        $places[] = trim(explode(',', $inside)[0]);
        if (str_contains($inside, ',')) {
            preg_match_all('/\{((?:[^{}]|\{[^{}]*\})*)\}/', $inside, $branches);
            array_push($places, ...array_merge(...array_map(placesIn(...), $branches[1])));
        }
    }
    $places = array_values(array_unique($places));
    sort($places);

    return $places;
}

/** @return list<string> the texts that an expression can be: itself, or both ends of a choice */
function choices(Node $of): array
{
    return match (true) {
        $of instanceof String_ => [$of->value],
        $of instanceof Expr\Ternary => [...choices($of->if ?? $of->cond), ...choices($of->else)],
        default => [],
    };
}

/** @return list<array{string, Expr\StaticCall}> file and call of everything that is said */
function sayings(): array
{
    $calls = [];
    foreach (parsed() as $file => $statements) {
        /** @var list<Expr\StaticCall> $found */
        $found = (new NodeFinder)->find($statements, fn (Node $node): bool => $node instanceof Expr\StaticCall
            && $node->class instanceof Node\Name && $node->name instanceof Node\Identifier
            && in_array($node->class->toString().'::'.$node->name->toString(), ['Message::of', 'Input::of', 'OutOfRange::check', 'OutOfRange::unknown'], true));
        foreach ($found as $call) {
            $calls[] = [basename($file), $call];
        }
    }

    return $calls;
}

it('says only what stands in the file, with exactly the values that the sentence names', function () {
    $sentences = Voice::sentences();
    $wrong = [];
    foreach (sayings() as [$file, $call]) {
        $first = $call->getArgs()[0]->value;
        $class = $call->class instanceof Node\Name ? $call->class->toString() : '';
        $prefix = ['Message' => '', 'Input' => 'input.', 'OutOfRange' => 'quantity.'][$class];
        foreach (choices($first) as $id) {
            if (! isset($sentences[$prefix.$id])) {
                $wrong[] = "$file: nothing is said under $prefix$id";
            } elseif ($class === 'Message' && array_filter($call->getArgs(), fn (Node\Arg $arg): bool => $arg->unpack) === []) {
                $given = array_map(fn (Node\Arg $arg): string => (string) $arg->name, array_slice($call->getArgs(), 1));
                sort($given);
                $needs = placesIn($sentences[$id]);
                // Two sentences to choose from may use some of what they are both given.
                $sound = $first instanceof String_ ? $given === $needs : array_diff($needs, $given) === [];
                if (! $sound) {
                    $wrong[] = "$file: $id takes ".implode(', ', $needs).', and is given '.implode(', ', $given);
                }
            }
        }
    }
    expect($wrong)->toBe([]);
});

it('keeps no sentence that nobody says', function () {
    $code = '';
    foreach (array_keys(parsed()) as $file) {
        $code .= file_get_contents($file);
    }
    $unsaid = array_filter(array_keys(Voice::sentences()), function (string $id) use ($code): bool {
        $last = substr((string) strrchr(".$id", '.'), 1);
        $named = str_contains($code, "'$id'") || (preg_match('/^(input|quantity)\./', $id) === 1 && str_contains($code, "'$last'"));
        // Put together from what a thing is: the beginning is named, and the end is one of the values that there are.
        $group = explode('.', $id)[0];
        $composed = preg_match("/['\"]$group\\.['\"{\$]/", $code) === 1;

        return ! $named && ! $composed && ! str_starts_with($id, 'words.');
    });
    expect(array_values($unsaid))->toBe([]);
});

it('leaves no sentence in the code', function () {
    $left = [];
    foreach (parsed() as $file => $statements) {
        if (in_array(basename($file), SPEAKS_ITSELF, true)) {
            continue;
        }
        $visitor = new class extends PhpParser\NodeVisitorAbstract
        {
            /** @var list<string> */
            public array $found = [];

            public function enterNode(Node $node): ?int
            {
                $name = match (true) {
                    ($node instanceof Expr\New_ || $node instanceof Expr\StaticCall) && $node->class instanceof Node\Name => $node->class->getLast(),
                    $node instanceof Expr\FuncCall && $node->name instanceof Node\Name => $node->name->getLast(),
                    $node instanceof Node\Attribute => 'header',
                    $node instanceof Node\PropertyItem && in_array($node->name->toString(), ['signature', 'description'], true) => 'header',
                    default => '',
                };
                if (in_array($name, NOT_SAID, true)) {
                    return PhpParser\NodeVisitor::DONT_TRAVERSE_CHILDREN;
                }
                $text = match (true) {
                    $node instanceof String_ => $node->value,
                    $node instanceof InterpolatedString => implode('', array_map(fn (Node $part): string => $part instanceof Node\InterpolatedStringPart ? $part->value : 'x', $node->parts)),
                    default => '',
                };
                if (preg_match('/[a-z’]{2,}[,:.;]? [a-z]{2,}/i', $text) === 1 && ! preg_match('/^(attachment|text\/(csv|calendar)); /', $text)) {
                    $this->found[] = $node->getStartLine().': '.$text;
                }

                return $node instanceof InterpolatedString ? PhpParser\NodeVisitor::DONT_TRAVERSE_CHILDREN : null;
            }
        };
        (new PhpParser\NodeTraverser($visitor))->traverse($statements);
        foreach ($visitor->found as $text) {
            $left[] = basename($file).":$text";
        }
    }
    expect($left)->toBe([]);
});

it('has sentences that can be said: whole, and with no unit written into them', function () {
    foreach (Voice::sentences() as $id => $sentence) {
        if (str_ends_with($id, '.between')) {
            continue;
        }
        expect(MessageFormatter::create('en', $sentence))->not->toBeNull("$id cannot be read")
            ->and($sentence)->toBe(trim($sentence), "$id is cut out of another");
        // The old rules by weight are quoted in the pounds that they were made in.
        if (! str_starts_with($id, 'weight_rule.')) {
            expect($sentence)->not->toMatch('/\d ?(°C|°F|K|kg|g|cm|mm|l|ml|lb|in)\b/', $id);
        }
    }
});
