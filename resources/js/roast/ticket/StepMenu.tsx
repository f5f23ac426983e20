import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import type { DraftStage } from '../draft';
import { stepAgain, stepBefore, stepMoved, withoutStep } from './stepChanges';

/** What can be done with one step among others. */
export function StepMenu({ stages, index, onChange }: { stages: DraftStage[]; index: number; onChange: (stages: DraftStage[]) => void }) {
  const acts = [
    { name: 'A step before it', to: () => stepBefore(stages, index) },
    { name: 'The same again', to: () => stepAgain(stages, index) },
    ...(index > 0 ? [{ name: 'Earlier', to: () => stepMoved(stages, index, -1) }] : []),
    ...(index < stages.length - 1 ? [{ name: 'Later', to: () => stepMoved(stages, index, 1) }] : []),
    ...(stages.length > 1 ? [{ name: 'Take it out', to: () => withoutStep(stages, index) }] : []),
  ];
  return (
    <Menu>
      <MenuButton className="text-push justify-self-start">
        {stages.length > 1 ? `Stage ${index + 1}: before, again, move…` : 'Another step before it…'}
      </MenuButton>
      <MenuItems anchor={{ to: 'bottom start', gap: 4, padding: 8 }} className="laid-over min-w-52 py-1">
        {acts.map((act) => (
          <MenuItem key={act.name}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center px-3 text-left data-[focus]:bg-paper"
              onClick={() => onChange(act.to())}
            >
              {act.name}
            </button>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}
