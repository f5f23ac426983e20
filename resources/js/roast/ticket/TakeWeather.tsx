import { useEffect, useRef, useState } from 'react';
import { Wrong } from '../../ui/Failure';
import { serverNow } from '../../api/clock';
import { useWeather } from '../../api/queries';
import { at } from '../../units/time';
import { useUnits } from '../../units/units';
import type { Draft } from '../draft';
import { meanOf, weatherWords } from '../weather';

/** A fire is lit about so long before the table. */
const BEFORE_MS = 3 * 3_600_000;

/** Nobody knows the weather further ahead. */
const AHEAD_MS = 9 * 86_400_000;

/** A device under trees looks long for where it is; a kitchen does not move in ten minutes. */
const LOOKING = { timeout: 20_000, maximumAge: 600_000 };

/** To about a kilometre: nothing that is computed asks for more, and where a cook stands is nobody’s business. */
const rounded = (degrees: number): number => Math.round(degrees * 100) / 100;

/** The weather of the place and the hours that the roast is out in, put into the plan. */
export function TakeWeather({ draft, onChange }: { draft: Draft; onChange: (draft: Draft) => void }) {
  const format = useUnits();
  const [trouble, setTrouble] = useState('');
  const [looking, setLooking] = useState(false);
  const [latitude, longitude] = [Number(draft.latitude ?? NaN), Number(draft.longitude ?? NaN)];
  const serve = at(draft.serve_at);
  const placed = Number.isFinite(latitude) && Number.isFinite(longitude);
  const near = serve > serverNow() && serve - serverNow() < AHEAD_MS;
  const weather = useWeather(placed && near ? { latitude, longitude, from: Math.max(serverNow(), serve - BEFORE_MS), until: serve } : null);
  const comes = weather.data === undefined ? null : meanOf(weather.data.hours);
  // What is typed while the device looks stands.
  const latest = useRef({ draft, onChange });
  useEffect(() => {
    latest.current = { draft, onChange };
  });
  const here = () => {
    const nowhere = () => {
      setLooking(false);
      setTrouble('This device does not say where it is. Type the latitude and longitude.');
    };
    setTrouble('');
    // A page that came without TLS is told nothing.
    if (!('geolocation' in navigator)) return nowhere();
    setLooking(true);
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        setLooking(false);
        const now = latest.current;
        now.onChange({ ...now.draft, latitude: rounded(coords.latitude), longitude: rounded(coords.longitude) });
      },
      nowhere,
      LOOKING,
    );
  };
  return (
    <div className="col-span-2 grid gap-1">
      <button type="button" className="text-push justify-self-start" disabled={looking} onClick={here}>
        {looking ? 'Looking where this is…' : 'Where I am now'}
      </button>
      <Wrong error={trouble} />
      {placed && !near && <p className="label">The weather is known for the next nine days.</p>}
      <Wrong error={weather.error} />
      {comes !== null && (
        <p className="flex flex-wrap items-center gap-x-3">
          <span>Then: {weatherWords(comes, format)}</span>
          <button type="button" className="push" disabled={weather.isPlaceholderData} onClick={() => onChange({ ...draft, ...comes })}>
            Plan by it
          </button>
        </p>
      )}
    </div>
  );
}
