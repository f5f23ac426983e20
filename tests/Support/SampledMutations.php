<?php

declare(strict_types=1);

namespace Tests\Support;

use Pest\Mutate\Mutation;
use Pest\Mutate\Support\MutationGenerator;
use Symfony\Component\Finder\SplFileInfo;

/** A share of all breakages, the same one each time for the same seed: what they score stands for the rest, within what chance allows. */
final class SampledMutations extends MutationGenerator
{
    public function __construct(private readonly float $share, private readonly string $seed)
    {
    }

    public function generate(SplFileInfo $file, array $mutators, array $linesToMutate = [], array $classesToMutate = []): array
    {
        return array_values(array_filter(
            parent::generate($file, $mutators, $linesToMutate, $classesToMutate),
            // Not by its id, in which the folder of this checkout is.
            fn (Mutation $one): bool => hexdec(hash('crc32b', $this->seed.$one->mutator.$one->diff)) < $this->share * 2 ** 32,
        ));
    }
}
