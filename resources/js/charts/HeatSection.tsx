import { useEffect, useId, useMemo, useRef, useState } from 'react';
import type { Section } from '../api/types';
import { useUnits, type Formatter } from '../units/units';
import { outlineOf, type Outline } from './outlines';
import { inkOn, temperatureRgb } from './temperature';

const WIDTH = 300;
const HEIGHT = 208;
const MARGIN = 12;
/** Room between two labels of isotherms, px. */
const LABEL_GAP = 17;

type Props = {
  section: Section;
  cut: string;
  kind: string;
  /** minutes from on; the slider starts here */
  minutes: number;
  /** words for a moment of the slider, such as 17:45 */
  momentAt: (minutes: number) => string;
};

/** A cut through the joint at any moment: how hot it is from the surface to the core, with a slider through time. */
export function HeatSection({ section, cut, kind, minutes, momentAt }: Props) {
  const format = useUnits();
  const id = useId();
  const end = section.minutes[section.minutes.length - 1] ?? 0;
  const [chosen, setChosen] = useState<number | null>(null);
  const moment = Math.min(end, Math.max(0, chosen ?? minutes));
  const outline = useMemo(() => outlineOf(cut, kind), [cut, kind]);
  const field = useMemo(() => depthField(outline), [outline]);
  const profile = useMemo(() => profileAt(section, moment), [section, moment]);
  const canvas = useRef<HTMLCanvasElement>(null);
  const lines = useMemo(() => isotherms(section, profile, field, format), [section, profile, field, format]);
  const core = profile[0] ?? 0;
  const surface = profile[profile.length - 1] ?? 0;

  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (context)
      paint(
        context,
        field,
        section.positions,
        profile,
        lines.map((line) => line.depth),
      );
  }, [field, section.positions, profile, lines]);

  return (
    <figure className="w-full max-w-[380px]">
      <div className="relative">
        <canvas ref={canvas} width={WIDTH * 2} height={HEIGHT * 2} className="block w-full" aria-hidden="true" />
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          className="absolute inset-0 w-full"
          role="img"
          aria-label={`Section at ${momentAt(moment)}: core ${format.temperature(core)}, surface ${format.temperature(surface)}`}
        >
          <g transform={`translate(${field.centreX} ${field.centreY}) scale(${field.scale})`} fill="none" vectorEffect="non-scaling-stroke">
            <path d={outline.bones} stroke="var(--ink)" strokeWidth={4 / field.scale} strokeLinecap="round" />
            <path d={outline.bones} stroke="#fbf6ea" strokeWidth={2 / field.scale} strokeLinecap="round" />
            <path d={outline.string} stroke="var(--ink)" strokeWidth={1.6 / field.scale} strokeLinecap="round" />
          </g>
          {lines
            .filter((line) => line.labelled)
            .map((line) => (
              <text key={line.text} x={line.x} y={line.y + 4} textAnchor="middle" fontSize="11" fontWeight="650" fill={line.ink}>
                {line.text}
              </text>
            ))}
          <text x={field.deepX} y={field.deepY + 12} textAnchor="middle" fontSize="34" fontWeight="750" className="wide" fill={inkOn(core)}>
            {format.degrees(core)}
          </text>
        </svg>
      </div>
      <div className="mt-1 flex items-baseline justify-between gap-3">
        <label htmlFor={id} className="label">
          Section at <strong className="text-ink">{momentAt(moment)}</strong>
        </label>
        <span className="label">
          surface <strong className="text-ink">{format.degrees(surface)}</strong>
        </span>
      </div>
      <input
        id={id}
        type="range"
        min={0}
        max={Math.round(end)}
        step={1}
        value={Math.round(moment)}
        onChange={(event) => setChosen(Number(event.target.value))}
        aria-valuetext={`${momentAt(moment)}, core ${format.temperature(core)}`}
        className="slider h-11 w-full"
      />
      {chosen !== null && (
        <button type="button" className="text-push -mt-2 text-label" onClick={() => setChosen(null)}>
          Back to {momentAt(minutes)}
        </button>
      )}
    </figure>
  );
}

/** Temperatures from the centre to the surface at a moment between two frames. */
export function profileAt(section: Section, minutes: number): number[] {
  let after = section.minutes.findIndex((moment) => moment >= minutes);
  if (after < 0) after = section.minutes.length - 1;
  const before = Math.max(0, after - 1);
  const from = section.minutes[before] ?? 0;
  const to = section.minutes[after] ?? 0;
  const share = to > from ? Math.min(1, Math.max(0, (minutes - from) / (to - from))) : 1;
  const start = section.celsius[before] ?? [];
  const stop = section.celsius[after] ?? start;
  return stop.map((value, i) => (start[i] ?? value) + (value - (start[i] ?? value)) * share);
}

/** Temperature at a depth below the surface, as a share of the way to the deepest point. */
export function temperatureAt(positions: readonly number[], profile: readonly number[], depth: number): number {
  const position = 1 - Math.min(1, Math.max(0, depth));
  for (let i = 1; i < positions.length; i++) {
    const [from, to] = [positions[i - 1] ?? 0, positions[i] ?? 1];
    if (position <= to) {
      const [a, b] = [profile[i - 1] ?? 0, profile[i] ?? 0];
      return a + ((b - a) * (position - from)) / Math.max(1e-9, to - from);
    }
  }
  return profile[profile.length - 1] ?? 0;
}

type Field = { depths: Float32Array; deepest: number; deepX: number; deepY: number; centreX: number; centreY: number; scale: number };

/** Distance of every pixel inside the outline to the nearest point of it, px. */
function depthField(outline: Outline): Field {
  const xs = outline.points.map((point) => point[0]);
  const ys = outline.points.map((point) => point[1]);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const wide = outline.bones.includes('1.9') ? right + 0.6 : right;
  const scale = Math.min((WIDTH - 2 * MARGIN) / (wide - left), (HEIGHT - 2 * MARGIN) / (bottom - top));
  const centreX = WIDTH / 2 - (scale * (left + wide)) / 2;
  const centreY = HEIGHT / 2 - (scale * (top + bottom)) / 2;
  const points = outline.points.map(([x, y]) => [centreX + scale * x, centreY + scale * y] as const);
  const depths = new Float32Array(WIDTH * HEIGHT).fill(-1);
  let [deepest, deepX, deepY] = [0, centreX, centreY];
  for (let row = 0; row < HEIGHT; row++) {
    for (let column = 0; column < WIDTH; column++) {
      const [x, y] = [column + 0.5, row + 0.5];
      let inside = false;
      let nearest = Infinity;
      for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
        const [ax, ay] = points[j] ?? [0, 0];
        const [bx, by] = points[i] ?? [0, 0];
        if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
        const along = Math.max(
          0,
          Math.min(1, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / Math.max(1e-9, (bx - ax) ** 2 + (by - ay) ** 2)),
        );
        nearest = Math.min(nearest, Math.hypot(x - ax - along * (bx - ax), y - ay - along * (by - ay)));
      }
      depths[row * WIDTH + column] = inside ? nearest : -nearest;
      if (inside && nearest > deepest) [deepest, deepX, deepY] = [nearest, x, y];
    }
  }
  return { depths, deepest, deepX, deepY, centreX, centreY, scale };
}

function paint(
  context: CanvasRenderingContext2D,
  field: Field,
  positions: readonly number[],
  profile: readonly number[],
  lines: readonly number[],
): void {
  const shades = Array.from({ length: 257 }, (_, i) => temperatureRgb(temperatureAt(positions, profile, i / 256)));
  const image = context.createImageData(WIDTH * 2, HEIGHT * 2);
  for (let row = 0; row < HEIGHT * 2; row++) {
    for (let column = 0; column < WIDTH * 2; column++) {
      const depth = sample(field.depths, column / 2 - 0.25, row / 2 - 0.25);
      if (depth <= -0.5) continue;
      const [r, g, b] = shades[Math.round(256 * Math.min(1, Math.max(0, depth) / field.deepest))] ?? [0, 0, 0];
      let line = 0;
      for (const at of lines) line = Math.max(line, 0.75 * Math.max(0, 1 - Math.abs(depth - at) / 0.9));
      const pixel = 4 * (row * WIDTH * 2 + column);
      image.data[pixel] = r + (255 - r) * line;
      image.data[pixel + 1] = g + (248 - g) * line;
      image.data[pixel + 2] = b + (232 - b) * line;
      image.data[pixel + 3] = 255 * Math.min(1, depth + 0.5);
    }
  }
  context.putImageData(image, 0, 0);
}

function sample(depths: Float32Array, x: number, y: number): number {
  const column = Math.max(0, Math.min(WIDTH - 2, Math.floor(x)));
  const row = Math.max(0, Math.min(HEIGHT - 2, Math.floor(y)));
  const [u, v] = [Math.max(0, Math.min(1, x - column)), Math.max(0, Math.min(1, y - row))];
  const at = (r: number, c: number) => depths[r * WIDTH + c] ?? -1;
  return (
    (at(row, column) * (1 - u) + at(row, column + 1) * u) * (1 - v) + (at(row + 1, column) * (1 - u) + at(row + 1, column + 1) * u) * v
  );
}

type Isotherm = { text: string; depth: number; x: number; y: number; labelled: boolean; ink: string };

/** Labels stand along this way from the deepest point outwards: up and to the left, clear of bones. */
const LABEL_WAY = [-0.82, -0.57] as const;

/** Round temperatures between surface and core, with the depth at which each lies; labels only where there is room. */
function isotherms(section: Section, profile: readonly number[], field: Field, format: Formatter): Isotherm[] {
  const core = profile[0] ?? 0;
  const surface = profile[profile.length - 1] ?? 0;
  const step = format.temperatureUnit === 'f' ? 20 : 10;
  const [low, high] = [format.toDegrees(Math.min(core, surface)), format.toDegrees(Math.max(core, surface))];
  const found: Isotherm[] = [];
  let last = { x: Infinity, y: Infinity };
  for (let level = Math.floor(high / step) * step; level > low + 0.15 * step; level -= step) {
    const celsius = format.fromDegrees(level);
    const depth = depthOf(section.positions, profile, celsius) * field.deepest;
    if (depth <= 1) continue;
    const place = along(field, depth);
    const labelled =
      depth > 5 &&
      Math.hypot(place.x - last.x, place.y - last.y) > LABEL_GAP &&
      Math.hypot(place.x - field.deepX, place.y - field.deepY) > 44;
    if (labelled) last = place;
    found.push({ text: String(level), depth, ...place, labelled, ink: inkOn(celsius) });
  }
  return found;
}

/** Where the way of the labels leaves the given depth. */
function along(field: Field, depth: number): { x: number; y: number } {
  let [x, y] = [field.deepX, field.deepY];
  while (sample(field.depths, x, y) > depth && x > 0 && y > 0) {
    x += LABEL_WAY[0];
    y += LABEL_WAY[1];
  }
  return { x, y };
}

/** Share of the way to the deepest point at which the profile first passes a temperature, coming from the surface. */
function depthOf(positions: readonly number[], profile: readonly number[], celsius: number): number {
  for (let i = positions.length - 1; i > 0; i--) {
    const [outer, inner] = [profile[i] ?? 0, profile[i - 1] ?? 0];
    if (outer >= celsius !== inner >= celsius) {
      const share = (outer - celsius) / (outer - inner);
      return 1 - ((positions[i] ?? 1) - share * ((positions[i] ?? 1) - (positions[i - 1] ?? 0)));
    }
  }
  return -1;
}
