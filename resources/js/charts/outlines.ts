/** What a cut through a joint looks like: its outline, and lines drawn into it (bones, string). Unit: half its height. */
export type Point = readonly [number, number];

export type Outline = {
  points: readonly Point[];
  /** SVG path data in the same unit, drawn over the section */
  bones: string;
  string: string;
};

const STEPS = 120;

/** A closed curve from its radius at each angle; angle 0 to the right, growing clockwise on screen. */
function turned(radius: (angle: number) => Point | number): readonly Point[] {
  return Array.from({ length: STEPS }, (_, i) => {
    const angle = (2 * Math.PI * i) / STEPS;
    const r = radius(angle);
    return typeof r === 'number' ? [r * Math.cos(angle), r * Math.sin(angle)] : r;
  });
}

const bump = (angle: number, where: number, width: number) =>
  Math.exp(-((Math.atan2(Math.sin(angle - where), Math.cos(angle - where)) / width) ** 2));

const OUTLINES = {
  /** Eye of the meat with its fat cap, the rib running out below. */
  rack: {
    points: turned((a) => [
      1.34 * Math.cos(a) * (1 + 0.1 * bump(a, Math.PI, 0.7)),
      Math.sin(a) * (1 - 0.16 * bump(a, 0.9, 0.45)) - 0.06 * Math.cos(2 * a),
    ]),
    bones:
      'M 1.05 0.62 C 1.3 0.35 1.62 0.05 1.72 -0.72 M 1.2 0.7 C 1.5 0.42 1.8 0.1 1.9 -0.68 M 1.05 0.62 C 1.0 0.72 1.12 0.8 1.2 0.7 M 1.72 -0.72 C 1.74 -0.82 1.92 -0.8 1.9 -0.68',
    string: '',
  },
  /** Across the breast: keel in the middle, the wings' sides falling away. */
  bird: {
    points: turned((a) => [1.22 * Math.cos(a) * (1 + 0.08 * Math.sin(a)), Math.sin(a) * (0.94 - 0.1 * bump(a, -Math.PI / 2, 0.28)) + 0.04]),
    bones: 'M 0 -0.8 L 0 -0.28 M -0.16 -0.22 C -0.06 -0.3 0.06 -0.3 0.16 -0.22',
    string: 'M -0.2 0.98 L 0.2 0.98',
  },
  leg: {
    points: turned((a) => [1.2 * Math.cos(a) * (1 + 0.14 * bump(a, 0.2, 0.8)), Math.sin(a) * (1 - 0.06 * bump(a, 2.4, 0.6))]),
    bones: 'M 0.42 0.3 a 0.17 0.15 0 1 0 0.34 0 a 0.17 0.15 0 1 0 -0.34 0 M 0.52 0.3 a 0.07 0.06 0 1 0 0.14 0 a 0.07 0.06 0 1 0 -0.14 0',
    string: '',
  },
  roll: {
    points: turned((a) => [1.12 * Math.cos(a), Math.sin(a) * (1 - 0.05 * bump(a, -1.2, 0.3))]),
    bones: '',
    string: 'M -0.06 -1.02 q 0.05 -0.14 0.16 -0.1 M 0.02 -1.0 q 0.12 -0.08 0.2 0.02',
  },
  slab: {
    points: turned((a) => {
      const c = Math.cos(a);
      const s = Math.sin(a);
      return [
        2.1 * Math.sign(c) * Math.abs(c) ** 0.75,
        Math.sign(s) * Math.abs(s) ** 0.85 * (1 - 0.16 * (c + 1) * 0.5 - 0.05 * Math.sin(3 * a)),
      ];
    }),
    bones: '',
    string: '',
  },
  fish: {
    points: turned((a) => [0.92 * Math.cos(a) * (0.86 + 0.2 * Math.sin(a)), 1.35 * Math.sin(a) * (1 - 0.08 * bump(a, -Math.PI / 2, 0.35))]),
    bones:
      'M 0 -0.02 L 0 -1.05 M -0.09 0.06 a 0.09 0.09 0 1 0 0.18 0 a 0.09 0.09 0 1 0 -0.18 0 M -0.1 0.14 C -0.3 0.3 -0.42 0.6 -0.4 0.95 M 0.1 0.14 C 0.3 0.3 0.42 0.6 0.4 0.95',
    string: '',
  },
  root: {
    points: turned((a) => [1.14 * Math.cos(a) * (1 + 0.03 * Math.sin(3 * a)), Math.sin(a) * (1 + 0.03 * Math.cos(2 * a))]),
    bones: '',
    string: '',
  },
} satisfies Record<string, Outline>;

const BY_CUT: readonly [RegExp, keyof typeof OUTLINES][] = [
  [/rack|rib$|saddle/, 'rack'],
  [/breast|brisket|belly|steak|side|fillet|flat|squash|tri-tip/, 'slab'],
  [/^(chicken|turkey|duck|goose|guinea-fowl)$/, 'bird'],
  [/leg$|legs|shoulder|whole|rabbit|haunch/, 'leg'],
];

export function outlineOf(cut: string, kind: string): Outline {
  if (kind === 'fish' && cut === 'fish-whole') return OUTLINES.fish;
  if (kind === 'roots' && cut !== 'squash') return OUTLINES.root;
  const found = BY_CUT.find(([pattern]) => pattern.test(cut));
  return OUTLINES[found?.[1] ?? 'roll'];
}
