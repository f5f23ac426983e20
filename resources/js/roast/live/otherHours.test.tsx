import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { FollowedDish } from '../../api/types';
import { aLive, aRoast, show as showIn } from '../../testing';
import { OtherHours } from './OtherHours';

function show(live: Partial<NonNullable<FollowedDish['live']>>, dish: Partial<FollowedDish> = {}) {
  const [followed] = aRoast({}, { status: 'on', live: aLive(live), ...dish }).plan.dishes;
  return showIn(<OtherHours dish={followed as FollowedDish} />);
}

const fork = { as_set_at: '2031-10-04T19:31:00+02:00', fallen_at: '2031-10-04T20:20:00+02:00' };

describe('hours that depend on the fire', () => {
  it('says both hours, and what decides between them, where it may have fallen', () => {
    show({ fork });
    expect(screen.getByText('If the heat is as set').nextSibling).toHaveTextContent('19:31');
    expect(screen.getByText('If it has fallen').nextSibling).toHaveTextContent('about 20:20');
    expect(screen.getByText(/Read the cooker/)).toBeVisible();
  });

  it('says so where a fallen fire does not do', () => {
    show({ fork: { ...fork, fallen_at: null } });
    expect(screen.getByText('If it has fallen').nextSibling).toHaveTextContent('not at that heat');
  });

  it('says what putting it right gives, beside the hour as it runs', () => {
    show({ put_right_at: '2031-10-04T19:45:00+02:00' });
    expect(screen.getByText('With the heat put right now').nextSibling).toHaveTextContent('19:45');
    expect(screen.getByText('As it runs')).toBeVisible();
  });

  it('names no hour as it runs where it does not get there', () => {
    show({ put_right_at: '2031-10-04T19:45:00+02:00', gets_there: false });
    expect(screen.queryByText('As it runs')).toBeNull();
  });

  it.each([
    ['there is one answer', {}, {}],
    ['it is off the heat', { fork }, { pulled_at: '2031-10-04T19:00:00+02:00' }],
  ])('says nothing where %s', (_, live, dish) => {
    expect(show(live, dish).container).toBeEmptyDOMElement();
  });
});
