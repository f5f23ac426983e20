/** How a measurement is taken: small line drawings. */
const line = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 2, strokeLinecap: 'round' as const };

export function RoomDrawing() {
  return (
    <svg
      viewBox="0 0 280 92"
      className="w-full"
      role="img"
      aria-label="Measure between the forks, and from the spit to the nearest element, wall, lid or coals"
    >
      <path d="M 8 46 H 272" {...line} />
      <path d="M 70 32 V 60 M 70 38 h 14 M 70 54 h 14 M 210 32 V 60 M 210 38 h -14 M 210 54 h -14" {...line} />
      <ellipse cx="140" cy="46" rx="58" ry="21" {...line} fill="var(--raised)" />
      <path d="M 20 10 H 260" {...line} stroke="var(--ember)" strokeDasharray="4 5" />
      <path d="M 70 76 H 210 M 70 71 v 10 M 210 71 v 10" {...line} stroke="var(--water)" />
      <path d="M 244 12 V 44 M 239 12 h 10 M 239 44 h 10" {...line} stroke="var(--water)" />
      <text x="140" y="90" textAnchor="middle" fontSize="12" fill="var(--water)" fontWeight="650">
        between the forks
      </text>
      <text x="237" y="32" textAnchor="end" fontSize="12" fill="var(--water)" fontWeight="650">
        room
      </text>
    </svg>
  );
}

export function RollTestDrawing() {
  return (
    <svg
      viewBox="0 0 280 104"
      className="w-full"
      role="img"
      aria-label="Roll test: the joint seen along the spit, a weight hanging on its light side"
    >
      <ellipse cx="120" cy="50" rx="52" ry="38" {...line} fill="var(--raised)" />
      <circle cx="120" cy="46" r="4" fill="var(--ink)" />
      <circle cx="106" cy="56" r="6" fill="var(--ember)" />
      <text x="96" y="76" textAnchor="middle" fontSize="12" fill="var(--ember)" fontWeight="650">
        heavy
      </text>
      <path d="M 120 46 H 204 M 204 46 V 66" {...line} stroke="var(--water)" />
      <path d="M 196 66 h 16 l 4 20 h -24 z" {...line} stroke="var(--water)" fill="var(--raised)" />
      <text x="163" y="40" textAnchor="middle" fontSize="12" fill="var(--water)" fontWeight="650">
        arm
      </text>
      <text x="224" y="82" fontSize="12" fill="var(--water)" fontWeight="650">
        weight
      </text>
    </svg>
  );
}
