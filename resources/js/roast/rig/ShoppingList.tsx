import type { Plan } from '../../api/types';
import { Said, useSay } from '../../words/Said';

/** What has to be bought for the whole table, aisle by aisle. */
export function ShoppingList({ plan }: { plan: Plan }) {
  const say = useSay();
  const aisles = new Map<string, Plan['shopping']>();
  for (const one of plan.shopping) aisles.set(say(one.aisle), [...(aisles.get(say(one.aisle)) ?? []), one]);
  return (
    <section className="opens mt-7" aria-label="To buy">
      <h2 className="text-lg">To buy</h2>
      <div className="mt-1 grid gap-x-9 gap-y-4 sm:grid-cols-2">
        {[...aisles].map(([aisle, things]) => (
          <div key={aisle}>
            <h3 className="label">{aisle}</h3>
            <ul>
              {things.map((thing, i) => (
                <li key={i} className="flex min-h-11 items-center justify-between gap-4 border-t border-hair py-1.5">
                  <span>
                    <Said>{thing.what}</Said>
                  </span>
                  <strong className="text-right">
                    <Said>{thing.amount}</Said>
                  </strong>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </section>
  );
}
