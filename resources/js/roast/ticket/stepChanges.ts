import type { Reference } from '../../api/types';
import type { DraftStage } from '../draft';

/** Where a step that no longer ends with the pull ends until the cook says. Common practice: the core of a roast before its sear. */
const CORE_BEFORE_C = 45;

/** The step without its end. */
export function heatAlone({ cooker, cooker_c, hand_s, chores, wrap, preparations }: DraftStage): DraftStage {
  return { cooker, cooker_c, hand_s, chores, wrap, preparations };
}

/** What a kind of cooker is set to when nothing was said: an open fire by the hand, all others by degrees. */
export function usualHeat(reference: Reference, id: string): Pick<DraftStage, 'cooker_c' | 'hand_s'> {
  const kind = reference.cookers.find((cooker) => cooker.id === id);
  return kind?.default_hand_s != null ? { hand_s: kind.default_hand_s } : { cooker_c: kind?.default_c ?? 150 };
}

const endsThere = (stage: DraftStage): boolean => stage.minutes === undefined && stage.until_brown === undefined;

/** Steps as the file wants them: only the last one ends with the pull, or when it pulls apart. */
export function inOrder(stages: DraftStage[]): DraftStage[] {
  return stages.map((stage, i) => {
    if (i < stages.length - 1)
      return stage.pull === true || stage.until_tender === true ? { ...heatAlone(stage), until_core_c: CORE_BEFORE_C } : stage;
    return endsThere(stage) && stage.until_tender !== true ? { ...heatAlone(stage), pull: true } : stage;
  });
}

/** Another step at the end: a sear, which is what most often follows. */
export const withStage = (stages: DraftStage[]): DraftStage[] => inOrder([...stages, { cooker: 'open-grate', hand_s: 3, pull: true }]);

/** A quarter of an hour off the heat put in before a step. */
export const stepBefore = (stages: DraftStage[], index: number): DraftStage[] =>
  inOrder([...stages.slice(0, index), { cooker: 'rest', cooker_c: 20, minutes: 15 }, ...stages.slice(index)]);

export const stepAgain = (stages: DraftStage[], index: number): DraftStage[] =>
  inOrder(stages.flatMap((stage, i) => (i === index ? [stage, { ...stage }] : [stage])));

export const withoutStep = (stages: DraftStage[], index: number): DraftStage[] => inOrder(stages.filter((_, i) => i !== index));

export function stepMoved(stages: DraftStage[], index: number, by: -1 | 1): DraftStage[] {
  const [one, other] = [stages[index], stages[index + by]];
  if (one === undefined || other === undefined) return stages;
  return inOrder(stages.map((stage, i) => (i === index ? other : i === index + by ? one : stage)));
}
