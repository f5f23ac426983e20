import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { duck, reference, show } from '../../testing';
import { DayHour } from '../../ui/DayHour';
import type { DraftStage } from '../draft';
import { stepAgain, stepBefore, stepMoved, withStage, withoutStep } from './stepChanges';
import { Steps } from './Steps';

const pull: DraftStage = { cooker: 'kettle', cooker_c: 150, pull: true };
const sear: DraftStage = { cooker: 'open-grate', hand_s: 3, minutes: 4 };
const tender: DraftStage = { cooker: 'kettle', cooker_c: 110, until_tender: true };

/** Only the last step ends with the pull, and every other has an end of its own. */
function sound(stages: DraftStage[]): boolean {
  const ends = (stage: DraftStage) =>
    [stage.pull, stage.until_tender, stage.minutes, stage.until_core_c, stage.until_brown].filter((end) => end !== undefined).length;
  return stages.every((stage, i) => ends(stage) === 1 && (i === stages.length - 1 || (stage.pull !== true && stage.until_tender !== true)));
}

describe('steps', () => {
  it('stay what a file can hold, however they are put in, moved, doubled and taken out', () => {
    let seed = 20311004;
    const chance = (below: number) => (seed = (seed * 1103515245 + 12345) % 2147483648) % below;
    for (let round = 0; round < 200; round++) {
      let stages: DraftStage[] = [round % 2 === 0 ? pull : tender];
      for (let act = 0; act < 8; act++) {
        const at = chance(stages.length);
        const next = [
          () => withStage(stages),
          () => stepBefore(stages, at),
          () => stepAgain(stages, at),
          () => (stages.length > 1 ? withoutStep(stages, at) : stages),
          () => stepMoved(stages, at, 1),
          () => stepMoved(stages, at, -1),
        ][chance(6)];
        stages = next?.() ?? stages;
        expect(sound(stages)).toBe(true);
      }
    }
  });

  it('give a step that is moved from the end a core to leave at, and keep a clock', () => {
    expect(stepMoved([pull, sear], 0, 1).map((stage) => stage.cooker)).toEqual(['open-grate', 'kettle']);
    expect(stepMoved([sear, pull], 1, -1)).toEqual([{ cooker: 'kettle', cooker_c: 150, until_core_c: 45 }, sear]);
  });
});

function Written({ start, seen }: { start: DraftStage[]; seen: (stages: DraftStage[]) => void }) {
  const [stages, setStages] = useState(start);
  return (
    <Steps
      dish={{ cut: 'duck', mass_kg: 2.2, stages }}
      cut={duck}
      reference={reference}
      errors={{}}
      onChange={(next) => {
        setStages(next);
        seen(next);
      }}
    />
  );
}

describe('steps on the ticket', () => {
  it('are a line each, of which one is open', async () => {
    show(<Written start={[{ cooker: 'kettle', cooker_c: 110, until_core_c: 46 }, pull]} seen={() => undefined} />);
    const [first, second] = within(screen.getByRole('list', { name: 'Stages' }))
      .getAllByRole('listitem')
      .map((item) => within(item).getAllByRole('button')[0]);
    expect(first).toHaveTextContent('kettle, 110°');
    expect(first).toHaveTextContent('to 46°');
    expect(second).toHaveTextContent('until done');
    expect(screen.getAllByLabelText('At')).toHaveLength(1);
    expect(screen.getByLabelText('At')).toHaveValue('110');
    if (second !== undefined) await userEvent.click(second);
    expect(screen.getByLabelText('At')).toHaveValue('150');
  });

  it('are put in before, and opened where they were put', async () => {
    const seen: DraftStage[][] = [];
    show(<Written start={[pull]} seen={(stages) => seen.push(stages)} />);
    await userEvent.click(screen.getByRole('button', { name: 'Another step before it…' }));
    await userEvent.click(await screen.findByRole('menuitem', { name: 'A step before it' }));
    expect(seen.at(-1)).toEqual([{ cooker: 'rest', cooker_c: 20, minutes: 15 }, pull]);
    expect(screen.getByLabelText('After')).toHaveValue('15');
  });
});

function Hour({ start, seen }: { start: string; seen: (iso: string) => void }) {
  const [value, setValue] = useState(start);
  return (
    <DayHour
      label="Table at"
      value={value}
      zone="Europe/Berlin"
      now={Date.parse('2031-10-04T09:00:00+02:00')}
      errors={undefined}
      onChange={(iso) => {
        setValue(iso);
        seen(iso);
      }}
    />
  );
}

describe('the hour of the table', () => {
  it('is written as anybody writes it, and kept on its day', async () => {
    const seen: string[] = [];
    show(<Hour start="2031-10-04T18:45:00+02:00" seen={(iso) => seen.push(iso)} />);
    const field = screen.getByLabelText('Table at');
    expect(field).toHaveValue('18:45');
    await userEvent.clear(field);
    await userEvent.type(field, '7.30 pm');
    await userEvent.tab();
    expect(seen.at(-1)).toBe('2031-10-04T19:30:00+02:00');
    expect(field).toHaveValue('19:30');
  });

  it('says what it cannot read, and changes nothing', async () => {
    const seen: string[] = [];
    show(<Hour start="2031-10-04T18:45:00+02:00" seen={(iso) => seen.push(iso)} />);
    const field = screen.getByLabelText('Table at');
    await userEvent.clear(field);
    await userEvent.type(field, 'soon');
    expect(field).toHaveAccessibleDescription(/An hour, such as 19:30/);
    expect(seen).toEqual([]);
  });

  it('moves to another day at its hour, over the night the clocks change', async () => {
    const seen: string[] = [];
    show(<Hour start="2031-10-25T18:45:00+02:00" seen={(iso) => seen.push(iso)} />);
    await userEvent.click(screen.getByLabelText('Day'));
    await userEvent.click(await screen.findByRole('option', { name: 'another day' }));
    fireEvent.change(screen.getByLabelText('Day'), { target: { value: '2031-10-26' } });
    expect(seen.at(-1)).toBe('2031-10-26T18:45:00+01:00');
  });
});
