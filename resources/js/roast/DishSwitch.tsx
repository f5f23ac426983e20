import type { ReactNode } from 'react';
import { Segments } from '../ui/Segments';

/** Which dish of the roast is looked at; nothing where there is one alone. */
export function DishSwitch({
  dishes,
  index,
  onChange,
  note,
  label = 'Dish',
}: {
  dishes: readonly { name: string }[];
  index: number;
  onChange: (index: number) => void;
  note?: (index: number) => ReactNode;
  label?: string;
}) {
  if (dishes.length < 2) return null;
  return (
    <div className="mb-3">
      <Segments
        label={label}
        inline={note !== undefined}
        value={String(index)}
        options={dishes.map((dish, i) => ({ id: String(i), name: dish.name, note: note?.(i) }))}
        onChange={(id) => onChange(Number(id))}
      />
    </div>
  );
}
