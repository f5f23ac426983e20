const MOST = 40;

/** The table from above: a plate for each guest, full for those fed even when all are hungry, half when they are modest. */
export function Plates({ people, least, most }: { people: number; least: number; most: number }) {
  const shown = Math.min(MOST, people);
  const size = shown > 20 ? 20 : 26;
  const perRow = Math.ceil(shown / 2);
  return (
    <svg
      viewBox={`-4 -4 ${perRow * (size + 8) + 8} ${2 * size + 38}`}
      style={{ maxWidth: perRow * (size + 8) + 8 }}
      className="h-auto w-full"
      role="img"
      aria-label={`${people} plates, ${Math.min(people, least)} full for the hungry, ${Math.min(people, most)} full for the modest`}
    >
      <rect
        x="-2"
        y={size * 0.55}
        width={perRow * (size + 8)}
        height={size * 0.9 + 22}
        rx="8"
        fill="none"
        stroke="var(--hair)"
        strokeWidth="2"
      />
      {Array.from({ length: shown }, (_, i) => {
        const row = i % 2;
        const x = Math.floor(i / 2) * (size + 8) + size / 2 + 2;
        const y = row === 0 ? size / 2 : size * 1.5 + 22;
        const fill = i < least ? 'var(--ember)' : i < most ? 'var(--straw)' : 'none';
        return (
          <g key={i}>
            <circle cx={x} cy={y} r={size / 2} fill="var(--raised)" stroke="var(--ink)" strokeWidth="1.5" />
            <circle cx={x} cy={y} r={size / 2 - 5} fill={fill} stroke={fill === 'none' ? 'var(--hair)' : 'none'} />
          </g>
        );
      })}
    </svg>
  );
}
