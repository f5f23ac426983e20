import { useClock } from '../units/units';

/** An hour to be read from afar: with a clock of half days, which half it is stands small beside it. */
export function Hour({ at, zone }: { at: string | number; zone?: string }) {
  const [hour, half] = useClock()(at, zone).split('\u00a0');
  return (
    <>
      {hour}
      {half !== undefined && <span className="text-[0.45em]">&nbsp;{half}</span>}
    </>
  );
}
