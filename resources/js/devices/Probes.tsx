import clsx from 'clsx';
import { useState } from 'react';
import type { Device, Roast } from '../api/types';
import { useClock, useUnits } from '../units/units';
import type { Message } from '../words/say';
import { useSay } from '../words/Said';
import { probesOf, troubleOf, type Probe } from './heard';
import { Thermometers } from './Thermometers';

/** What the probes show that hang on this roast, and which is not heard from, since when. */
export function Probes({ roast, now }: { roast: Roast; now: number }) {
  const [open, setOpen] = useState(false);
  const format = useUnits();
  const clock = useClock();
  const say = useSay();
  const state = (probe: Probe): string => {
    switch (probe.state) {
      case 'never':
        return 'not heard yet';
      case 'silent':
        return `silent since ${clock(probe.heardAt ?? 0, roast.plan.time_zone)}`;
      case 'unplugged':
        return 'not plugged in';
      default:
        return '';
    }
  };
  return (
    <section aria-label="Thermometers" className="border-t border-hair pt-2">
      {roast.devices.map((device) => (
        <div key={device.id} className="mb-2">
          <p className="flex flex-wrap items-baseline justify-between gap-x-3">
            <span className="font-semibold">{device.name}</span>
            <span className={clsx('label', troubleOf(device) !== '' && 'font-bold text-ember')}>
              {troubleOf(device) ||
                [device.battery, device.signal]
                  .map((share, i) => gauge(share, i))
                  .filter(Boolean)
                  .join(', ')}
            </span>
          </p>
          <ul>
            {probesOf(device, now).map((probe) => (
              <li key={probe.channel} className="flex min-h-9 flex-wrap items-center gap-x-2 border-t border-hair">
                <span className="grid h-6 w-6 shrink-0 place-items-center rounded-full border-[1.5px] border-ink text-label font-bold">
                  {probe.channel}
                </span>
                <span className="min-w-0 flex-1 truncate">
                  {hangsOnMany(device) && `${roast.plan.dishes[probe.dish]?.name ?? ''}: `}
                  {say(probe.placeWords)}
                </span>
                {probe.state === 'reads' && probe.celsius !== null ? (
                  <span className="wide text-xl text-water">{format.degrees(probe.celsius, 1)}</span>
                ) : (
                  <span role="status" className="font-semibold text-ember">
                    {state(probe)}
                  </span>
                )}
                {probe.state === 'reads' && doubtOf(roast, device, probe) !== null && (
                  <span className="label basis-full pb-1.5 text-ember">{say(doubtOf(roast, device, probe))}</span>
                )}
              </li>
            ))}
          </ul>
          {device.probes.length === 0 && <p className="label">None of its probes is placed yet.</p>}
        </div>
      ))}
      <button type="button" className="text-push" onClick={() => setOpen(true)}>
        {roast.devices.length === 0 ? 'A thermometer that sends by itself' : 'Place the probes'}
      </button>
      <Thermometers roast={roast} open={open} onClose={() => setOpen(false)} />
    </section>
  );
}

const hangsOnMany = (device: Device): boolean => new Set(device.probes.map((probe) => probe.dish)).size > 1;

/** Of several places the coldest decides: the others are no less right. */
const RIGHT_ALL_THE_SAME: readonly string[] = ['verdict.not_the_coldest', 'verdict.less_a_colder', 'verdict.not_on_the_heat'];

/** Why what a probe shows now is not believed; null where it is. */
function doubtOf(roast: Roast, device: Device, probe: Probe): Message | null {
  const last = roast.readings.findLast((one) => one.device === device.id && one.channel === probe.channel);
  return last === undefined || last.counts || RIGHT_ALL_THE_SAME.includes(last.verdict.id) ? null : last.verdict;
}

const gauge = (share: number | null, which: number): string => (share === null ? '' : `${which === 0 ? 'battery' : 'signal'} ${share} %`);
