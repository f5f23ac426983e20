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

export function TapeDrawing() {
  return (
    <svg viewBox="0 0 280 96" className="w-full" role="img" aria-label="Measure the tied joint: its length, its width, and its depth">
      <path d="M 30 52 C 30 28 70 22 110 24 S 170 34 170 52 S 140 76 100 76 S 30 74 30 52 z" {...line} fill="var(--raised)" />
      <path d="M 66 26 q 8 24 0 48 M 100 24 q 8 26 0 52 M 134 28 q 8 22 0 44" {...line} strokeWidth="1.25" />
      <path d="M 30 90 H 170 M 30 85 v 10 M 170 85 v 10" {...line} stroke="var(--water)" />
      <text x="100" y="14" textAnchor="middle" fontSize="12" fill="var(--water)" fontWeight="650">
        long, end to end
      </text>
      <ellipse cx="232" cy="50" rx="34" ry="25" {...line} fill="var(--raised)" />
      <path d="M 198 84 H 266 M 198 79 v 10 M 266 79 v 10" {...line} stroke="var(--water)" />
      <path d="M 190 25 V 75 M 185 25 h 10 M 185 75 h 10" {...line} stroke="var(--water)" />
      <text x="232" y="54" textAnchor="middle" fontSize="12" fill="var(--soft)" fontWeight="650">
        wide, deep
      </text>
    </svg>
  );
}

export function PotDrawing() {
  return (
    <svg viewBox="0 0 280 92" className="w-full" role="img" aria-label="Measure the pot inside: across its rim, and from rim to bottom">
      <path d="M 80 22 V 70 q 0 8 8 8 h 104 q 8 0 8 -8 V 22" {...line} strokeWidth="3" />
      <path d="M 84 14 H 196 M 84 9 v 10 M 196 9 v 10" {...line} stroke="var(--water)" />
      <path d="M 222 22 V 78 M 217 22 h 10 M 217 78 h 10" {...line} stroke="var(--water)" />
      <text x="140" y="52" textAnchor="middle" fontSize="12" fill="var(--water)" fontWeight="650">
        across, inside
      </text>
      <text x="232" y="54" fontSize="12" fill="var(--water)" fontWeight="650">
        deep
      </text>
    </svg>
  );
}
