/** What a kind of cooker looks like at a glance: the vessel, and where its heat is. */
export function CookerGlyph({ cooker, buried = false }: { cooker: string; buried?: boolean }) {
  return (
    <svg
      viewBox="0 0 56 44"
      className="h-11 w-14 shrink-0"
      aria-hidden="true"
      fill="none"
      stroke="var(--ink)"
      strokeWidth="2"
      strokeLinejoin="round"
    >
      {buried ? <Buried /> : (SHAPES[cooker] ?? SHAPES.oven)}
    </svg>
  );
}

const coals = (y: number, from: number, to: number) => (
  <g fill="var(--ember)" stroke="none">
    {Array.from({ length: Math.floor((to - from) / 6) + 1 }, (_, i) => (
      <circle key={i} cx={from + i * 6} cy={y - (i % 2)} r="2.6" />
    ))}
  </g>
);

const joint = (cx: number, cy: number, rx: number, ry: number) => <ellipse cx={cx} cy={cy} rx={rx} ry={ry} fill="var(--straw)" />;

const burners = (y: number) => <path d={`M14 ${y} h6 M25 ${y} h6 M36 ${y} h6`} stroke="var(--ember)" strokeWidth="3" />;

const kettle = (
  <>
    {coals(29, 12, 24)}
    {joint(35, 20, 8, 5)}
    <path d="M6 22 a22 16 0 0 1 44 0 M6 22 a22 15 0 0 0 44 0 M6 22 h44 M16 35 l-5 8 M40 35 l5 8" />
  </>
);
const spit = (
  <>
    {coals(38, 10, 46)}
    <path d="M2 18 h52 M7 18 v24 M49 18 v24" />
    {joint(28, 18, 15, 6)}
  </>
);
const gas = (
  <>
    {burners(30)}
    {joint(28, 20, 9, 5)}
    <path d="M7 24 v-6 a14 12 0 0 1 14 -12 h14 a14 12 0 0 1 14 12 v6 z M7 24 h42 v10 h-42 z M12 34 v9 M44 34 v9" />
  </>
);
const oven = (
  <>
    <rect x="8" y="4" width="40" height="37" rx="3" />
    <path d="M8 12 h40 M14 16 h28 v19 h-28 z" />
    {joint(28, 28, 9, 5)}
    <path d="M16 33 h24" stroke="var(--ember)" strokeWidth="3" />
  </>
);
const pellet = (
  <>
    {joint(30, 19, 10, 5)}
    <path d="M12 24 v-4 a14 13 0 0 1 14 -13 h10 a14 13 0 0 1 14 13 v4 z M12 24 h38 v7 h-38 z M18 31 v12 M44 31 v12 M12 12 h-8 v14 h8" />
    <path d="M22 28 h18" stroke="var(--ember)" strokeWidth="3" />
  </>
);
const SHAPES: Record<string, React.ReactNode> = {
  kettle,
  'kettle-direct': (
    <>
      {coals(29, 16, 40)}
      {joint(28, 19, 10, 4)}
      <path d="M6 22 a22 16 0 0 1 44 0 M6 22 a22 15 0 0 0 44 0 M6 22 h44 M16 35 l-5 8 M40 35 l5 8" />
    </>
  ),
  ceramic: (
    <>
      {coals(36, 20, 36)}
      {joint(28, 19, 9, 5)}
      <path d="M14 22 C12 6 22 3 28 3 C34 3 44 6 42 22 C42 38 36 42 28 42 C20 42 14 38 14 22 z M13 23 h30 M20 29 h16" />
    </>
  ),
  gas,
  'gas-direct': gas,
  pellet,
  griddle: (
    <>
      {joint(28, 18, 10, 4)}
      <path d="M5 22 h46 v4 h-46 z M12 26 v16 M44 26 v16" />
      {burners(32)}
    </>
  ),
  'lidded-roaster': (
    <>
      {joint(28, 24, 12, 6)}
      <path d="M6 20 h44 l-3 20 h-38 z M10 20 a18 12 0 0 1 36 0 M25 6 h6" />
      <path d="M13 36 h30" stroke="var(--ember)" strokeWidth="3" />
    </>
  ),
  'countertop-rotisserie': (
    <>
      <rect x="6" y="4" width="44" height="37" rx="4" />
      <path d="M44 9 v27" stroke="var(--ember)" strokeWidth="3" />
      <path d="M10 23 h28" />
      {joint(24, 23, 11, 7)}
    </>
  ),
  'grill-rotisserie': (
    <>
      <path d="M7 26 v-8 a14 12 0 0 1 14 -12 h14 a14 12 0 0 1 14 12 v8 z M7 26 h42 v9 h-42 z M12 35 v8 M44 35 v8" />
      <path d="M12 12 h32" stroke="var(--ember)" strokeWidth="3" />
      <path d="M2 21 h52" />
      {joint(28, 21, 12, 5)}
    </>
  ),
  oven,
  'oven-grill': (
    <>
      <rect x="8" y="4" width="40" height="37" rx="3" />
      <path d="M14 10 h28" stroke="var(--ember)" strokeWidth="3" />
      <path d="M14 30 h28" />
      {joint(28, 25, 11, 4)}
    </>
  ),
  'open-grate': (
    <>
      {coals(36, 12, 44)}
      <path d="M6 24 h44 M10 24 v18 M46 24 v18" />
      {joint(28, 20, 12, 4)}
    </>
  ),
  'open-spit': spit,
  trench: (
    <>
      {coals(40, 12, 44)}
      <path d="M2 34 h6 v8 h40 v-8 h6 M14 34 L40 4 M40 4 v30" />
      <ellipse cx="26" cy="20" rx="13" ry="4.5" transform="rotate(-49 26 20)" fill="var(--straw)" />
    </>
  ),
  'camp-oven': (
    <>
      {coals(10, 16, 40)}
      {joint(28, 26, 10, 5)}
      <path d="M10 18 h36 v14 a5 5 0 0 1 -5 5 h-26 a5 5 0 0 1 -5 -5 z M8 14 h40 v4 h-40 z" />
      {coals(42, 16, 40)}
    </>
  ),
};

function Buried() {
  return (
    <>
      <path d="M2 12 h8 v30 h36 v-30 h8" />
      {coals(39, 16, 40)}
      {coals(16, 16, 40)}
      <path d="M16 20 h24 v13 h-24 z" />
      {joint(28, 27, 8, 4)}
      <path d="M8 10 q10 -7 20 -5 t20 5" strokeDasharray="3 3" />
    </>
  );
}
