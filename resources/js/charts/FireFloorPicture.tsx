import clsx from 'clsx';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { FilePile, Floor } from '../api/types';
import { useUnits } from '../units/units';
import { fluxRgb } from './flux';
import { useSay } from '../words/Said';

type Props = {
  floor: Floor;
  /** what lies over it */
  meat: string;
  chosen: number | null;
  onChoose: (pile: number | null) => void;
  /** null where the coals cannot be moved */
  onMove: ((piles: FilePile[]) => void) | null;
};

const STEP_CM = 2;
const FAR_STEP_CM = 8;
const MORE = 1.25;
const MARGIN_CM = 4;
/** Of the length that the picture shows: as small as a pile is drawn and can be read, and as small as a thumb finds it. */
const LEAST_RADIUS = 0.034;
const THUMB_RADIUS = 0.06;

/** The fire from above: coals where they lie, the heat that they send up as a field, and the meat's outline over it. */
export function FireFloorPicture({ floor, meat, chosen, onChoose, onMove }: Props) {
  const format = useUnits();
  const say = useSay();
  const svg = useRef<SVGSVGElement>(null);
  const [dragged, setDragged] = useState<{ pile: number; x: number; y: number } | null>(null);
  const [long, wide] = [floor.length_cm, floor.width_cm];
  const piles = floor.piles.map((pile, i) => (dragged?.pile === i ? { ...pile, x_cm: dragged.x, y_cm: dragged.y } : pile));
  const heaviest = Math.max(...floor.piles.map((pile) => pile.kg), 0.001);
  const whole = floor.piles.reduce((sum, pile) => sum + pile.kg, 0);
  const size = floor.round ? wide * 0.05 : Math.max(wide * 0.07, long * 0.026);
  const radius = (kg: number) => Math.max(LEAST_RADIUS * long, Math.min(long, wide) * 0.085 * Math.sqrt(kg / heaviest));
  const held = (x: number, y: number) => {
    const inside = { x: Math.max(-long / 2, Math.min(long / 2, x)), y: Math.max(-wide / 2, Math.min(wide / 2, y)) };
    const out = floor.round ? Math.hypot((2 * inside.x) / long, (2 * inside.y) / wide) : 0;
    return out > 0.96 ? { x: (inside.x / out) * 0.96, y: (inside.y / out) * 0.96 } : inside;
  };
  const commit = (next: { x_cm: number; y_cm: number; kg: number }[]) => {
    onMove?.(next.map(({ x_cm, y_cm, kg }) => ({ x_cm: round(x_cm), y_cm: round(y_cm), kg: Number(kg.toFixed(4)) })));
  };
  const place = (event: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (box === undefined || box.width === 0) return null;
    const scale = (long + 2 * MARGIN_CM) / box.width;
    return held((event.clientX - box.left) * scale - MARGIN_CM - long / 2, (event.clientY - box.top) * scale - MARGIN_CM - wide / 2);
  };
  const press = (event: KeyboardEvent, i: number) => {
    const pile = piles[i];
    if (onMove === null || pile === undefined || event.altKey || event.ctrlKey || event.metaKey) return;
    const step = event.shiftKey ? FAR_STEP_CM : STEP_CM;
    const moves: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const move = moves[event.key];
    if (move !== undefined) {
      const to = held(pile.x_cm + move[0], pile.y_cm + move[1]);
      commit(piles.map((one, other) => (other === i ? { ...one, x_cm: to.x, y_cm: to.y } : one)));
    } else if (event.key === '+' || event.key === '=' || event.key === '-') {
      const factor = event.key === '-' ? 1 / MORE : MORE;
      commit(piles.map((one, other) => (other === i ? { ...one, kg: one.kg * factor } : one)));
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && piles.length > 1) {
      commit(piles.filter((_, other) => other !== i));
      onChoose(null);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div className="relative w-full" style={{ aspectRatio: `${long + 2 * MARGIN_CM} / ${wide + 2 * MARGIN_CM}` }}>
      <Field floor={floor} />
      <svg
        ref={svg}
        viewBox={`${-long / 2 - MARGIN_CM} ${-wide / 2 - MARGIN_CM} ${long + 2 * MARGIN_CM} ${wide + 2 * MARGIN_CM}`}
        className="absolute inset-0 h-full w-full touch-none select-none"
        role="group"
        aria-label={`The fire from above, ${format.length(long, 0)} by ${format.length(wide, 0)}. At the middle of the meat ${floor.meat_kw_m2.toFixed(1)} kW/m².`}
        onPointerDown={() => onChoose(null)}
      >
        {floor.round ? (
          <ellipse rx={long / 2} ry={wide / 2} fill="none" stroke="var(--ink)" strokeWidth="0.9" />
        ) : (
          <rect x={-long / 2} y={-wide / 2} width={long} height={wide} rx="1.5" fill="none" stroke="var(--ink)" strokeWidth="0.9" />
        )}
        {floor.bars.map((bar, i) => (
          <g key={i}>
            <rect
              x={bar.x_cm - 1.6}
              y={-wide * 0.43}
              width="3.2"
              height={wide * 0.86}
              rx="1.6"
              fill={bar.share > 0.03 ? 'var(--ember)' : 'var(--raised)'}
              fillOpacity={bar.share > 0.03 ? 0.35 + 0.65 * bar.share : 1}
              stroke="var(--ink)"
              strokeWidth="0.5"
            />
          </g>
        ))}
        <g pointerEvents="none">
          <ellipse
            cx={floor.meat.x_cm}
            cy={floor.meat.y_cm}
            rx={floor.meat.length_cm / 2}
            ry={floor.meat.width_cm / 2}
            fill="none"
            stroke="var(--paper)"
            strokeWidth="2.2"
          />
          <ellipse
            cx={floor.meat.x_cm}
            cy={floor.meat.y_cm}
            rx={floor.meat.length_cm / 2}
            ry={floor.meat.width_cm / 2}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="0.9"
            strokeDasharray="3 1.6"
          />
        </g>
        {piles.map((pile, i) => (
          <g
            key={i}
            role={onMove === null ? undefined : 'button'}
            tabIndex={onMove === null ? undefined : 0}
            aria-label={`Coals ${i + 1} of ${piles.length}: ${say(pile.words)}, ${where(pile, format)}. Arrow keys move them, plus and minus change how many, Delete takes them away.`}
            aria-pressed={onMove === null ? undefined : chosen === i}
            className={clsx(onMove !== null && 'cursor-grab focus:outline-none [&:focus-visible>circle:first-child]:stroke-[1.8]')}
            onKeyDown={(event) => press(event, i)}
            onFocus={() => onChoose(i)}
            onPointerDown={(event) => {
              if (onMove === null) return;
              event.stopPropagation();
              onChoose(i);
              event.currentTarget.setPointerCapture(event.pointerId);
              setDragged({ pile: i, x: pile.x_cm, y: pile.y_cm });
            }}
            onPointerMove={(event) => {
              if (dragged?.pile !== i) return;
              const to = place(event);
              if (to !== null) setDragged({ pile: i, ...to });
            }}
            onPointerUp={() => {
              if (dragged?.pile === i) commit(piles);
              setDragged(null);
            }}
            onPointerCancel={() => setDragged(null)}
          >
            <circle
              cx={pile.x_cm}
              cy={pile.y_cm}
              r={radius(pile.kg)}
              fill="var(--coal)"
              stroke={chosen === i ? 'var(--water)' : 'var(--ember)'}
              strokeWidth={chosen === i ? 1.6 : 1}
            />
            <circle cx={pile.x_cm} cy={pile.y_cm} r={Math.max(radius(pile.kg), THUMB_RADIUS * long)} fill="transparent" />
            <text
              x={pile.x_cm}
              y={pile.y_cm}
              fontSize={radius(pile.kg) * 0.76}
              textAnchor="middle"
              dominantBaseline="central"
              fill="#fff"
              fontWeight="700"
              pointerEvents="none"
            >
              {short(pile, whole)}
            </text>
          </g>
        ))}
        <g pointerEvents="none">
          <Label x={floor.meat.x_cm} y={floor.meat.y_cm - floor.meat.width_cm / 2 - size} size={size}>
            {meat}
          </Label>
        </g>
      </svg>
    </div>
  );
}

function Label({ x, y, size, children }: { x: number; y: number; size: number; children: string }) {
  return (
    <text
      x={x}
      y={y}
      fontSize={size}
      textAnchor="middle"
      dominantBaseline="central"
      fontWeight="700"
      fill="var(--ink)"
      stroke="var(--paper)"
      strokeWidth={size * 0.24}
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}

/** The flux as a smooth field: one pixel a place, blown up. */
function Field({ floor }: { floor: Floor }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const element = canvas.current;
    const paint = typeof CanvasRenderingContext2D === 'undefined' ? null : element?.getContext('2d');
    if (element === null || paint === null || paint === undefined) return;
    element.width = floor.columns;
    element.height = floor.rows;
    const image = paint.createImageData(floor.columns, floor.rows);
    floor.field_kw_m2.flat().forEach((kw, i) => {
      const [r, g, b] = fluxRgb(kw);
      image.data.set([r, g, b, 255], 4 * i);
    });
    paint.putImageData(image, 0, 0);
  }, [floor]);
  const [left, top] = [(100 * MARGIN_CM) / (floor.length_cm + 2 * MARGIN_CM), (100 * MARGIN_CM) / (floor.width_cm + 2 * MARGIN_CM)];
  return (
    <canvas
      ref={canvas}
      aria-hidden="true"
      className={clsx('absolute', floor.round && 'rounded-[50%]')}
      style={{ left: `${left}%`, top: `${top}%`, width: `${100 - 2 * left}%`, height: `${100 - 2 * top}%` }}
    />
  );
}

const round = (cm: number) => Number(cm.toFixed(1));

/** 19 for “19 briquettes”; a mass otherwise. */
function short(pile: Floor['piles'][number], whole: number): string {
  return pile.pieces !== null ? String(pile.pieces) : whole > 0 ? pile.kg.toFixed(1) : '';
}

function where(pile: { x_cm: number; y_cm: number }, format: ReturnType<typeof useUnits>): string {
  const across = Math.abs(pile.x_cm) < 1 ? 'in the middle' : `${format.length(Math.abs(pile.x_cm), 0)} ${pile.x_cm < 0 ? 'left' : 'right'}`;
  const along =
    Math.abs(pile.y_cm) < 1 ? '' : `, ${format.length(Math.abs(pile.y_cm), 0)} ${pile.y_cm < 0 ? 'to the back' : 'to the front'}`;
  return across + along;
}
