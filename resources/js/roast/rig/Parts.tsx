import type { PlannedDish } from '../../api/types';
import { AnimalPicture } from '../../charts/AnimalPicture';
import { PartCurves } from '../../charts/PartCurves';
import { duration } from '../../units/time';
import { useUnits } from '../../units/units';

/** A whole animal is a body of parts: in the same heat the thin ones are done long before the thick. */
export function Parts({ dish, banked }: { dish: PlannedDish; banked: boolean }) {
  const format = useUnits();
  return (
    <section className="opens mt-7" aria-label="Parts">
      <h2 className="text-lg">Its parts, in the same heat</h2>
      <p className="text-soft">As they stand when the whole is pulled. The coldest decides; put less fire under the thin ones.</p>
      <AnimalPicture parts={dish.parts} />
      <PartCurves parts={dish.parts} minutes={dish.cook_minutes.likely} target={dish.target_c} />
      <table className="mt-2 w-full text-left">
        <thead>
          <tr className="label">
            <th className="py-1 font-medium">&nbsp;</th>
            <th className="py-1 font-medium">Mass</th>
            <th className="py-1 font-medium">Thick</th>
            {!banked && <th className="py-1 font-medium">At {format.degrees(dish.target_c)} after</th>}
          </tr>
        </thead>
        <tbody>
          {dish.parts.map((part) => (
            <tr key={part.id} className="border-t border-hair">
              <th scope="row" className="py-1.5 font-semibold">
                {part.name}
                {part.decides && <span className="label"> decides</span>}
              </th>
              <td>{format.mass(part.mass_kg)}</td>
              <td>{format.length(2 * part.half_thickness_cm, 0)}</td>
              {!banked && (
                <td className="wide text-lg">{part.minutes_to_target === null ? 'later still' : duration(part.minutes_to_target)}</td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {banked && <p className="mt-2 text-soft">When each part is done as the coals lie stands on Fire.</p>}
    </section>
  );
}
