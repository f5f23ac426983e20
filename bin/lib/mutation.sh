#!/usr/bin/env bash
# Breaks the core in small ways, one at a time, and counts which of them its tests notice. A room is held to its own tests alone, so
# that it takes minutes and not days; what other tests would notice besides is not counted.
#   bin/test mutation [--share 0.1] [room…]     Safety, Day, Tending, Cooking, Live; all of them without one
# A room that simulates takes a minute a breakage: a share of them, always the same, stands for the rest.
set -euo pipefail
# shellcheck source=bin/lib/prepare.sh
source "$(dirname "$0")/prepare.sh"
install_packages no
prepare_code
declare -A TESTS=(
    [Safety]="tests/Reference/SafetyTest.php tests/Core/CarryoverTest.php"
    [Day]="tests/Core/SheetsTest.php tests/Core/HandsByHandTest.php tests/Core/HandsTest.php tests/Core/FirePlanTest.php tests/Core/SidesTest.php tests/Core/SidesPlaceTest.php tests/Core/DayTest.php tests/Core/PlanTest.php tests/Core/StepWordsTest.php"
    [Tending]="tests/Core/FiguresTest.php tests/Core/TendingTest.php tests/Core/CorrectionTest.php tests/Core/FirePlanTest.php"
    [Cooking]="tests/Core/FiguresTest.php tests/Core/CookTest.php tests/Core/TendingTest.php"
    [Live]="tests/Core/FiguresTest.php tests/Core/LiveTest.php tests/Core/ProbeMapTest.php tests/Core/BeliefTest.php tests/Core/BeliefByHandTest.php tests/Core/SieveTest.php tests/Core/AdviceTest.php"
)
# Which lines a test runs through is told by an extension that slows everything else, so it is loaded for this alone.
COVERAGE="$(php -r 'echo extension_loaded("pcov") ? "" : "storage/pcov/usr/lib/php/20220829/pcov.so";')"
if [ -n "$COVERAGE" ] && [ ! -f "$COVERAGE" ]; then
    mkdir -p storage/pcov
    (cd storage/pcov && apt-get download -qq php8.2-pcov && dpkg -x php8.2-pcov*.deb .) || fail "php8.2-pcov could not be fetched."
fi
mkdir -p vendor/pestphp/pest-plugin-mutate/.temp/mutations
# Each breakage is tried by a process of its own that takes no flags from here: it gets them from a file.
mkdir -p storage/pcov/ini
printf 'opcache.enable_cli=1\nopcache.jit=1052\nopcache.jit_buffer_size=64M\nmemory_limit=2G\n' >storage/pcov/ini/fast.ini
PHP_INI_SCAN_DIR="$(php -r 'echo PHP_CONFIG_FILE_SCAN_DIR;'):$ROOT/storage/pcov/ini"
export PHP_INI_SCAN_DIR
if [ "${1:-}" = --share ]; then export MUTATION_SHARE="$2"; shift 2; fi
for room in "${@:-Safety Day Tending Cooking Live}"; do
    for one in $room; do
        [ -n "${TESTS[$one]:-}" ] || fail "there are no tests to hold $one to."
        say "— $one"
        # shellcheck disable=SC2086
        php -d memory_limit=4G ${COVERAGE:+-d extension="$ROOT/$COVERAGE"} -d pcov.directory="$ROOT/core" vendor/bin/pest ${TESTS[$one]} --colors=never \
            --mutate --path="core/$one" --everything --covered-only --clear-cache --except=CastingRemoveDoubleCast,CastingRemoveIntegerCast \
            >"storage/mutation-$one.log" 2>&1 || true
        grep -E "Mutations:|Score:" "storage/mutation-$one.log" || tail -5 "storage/mutation-$one.log"
    done
done
