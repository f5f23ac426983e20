import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Link, Route, Routes } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import { show } from '../testing';
import { fetched, fetchTheRest } from './fetched';
import { Screen } from './Screen';

describe('a screen that is fetched when it is opened', () => {
  it('says what it waits for, and then is there', async () => {
    const Sheet = fetched(() => Promise.resolve(() => <p>All of it</p>));
    show(
      <Screen name="sheet">
        <Sheet />
      </Screen>,
    );
    expect(await screen.findByText('All of it')).toBeTruthy();
  });

  it('says so when it cannot be fetched, and takes nothing else down', async () => {
    const silent = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const Sheet = fetched<object>(() => Promise.reject(new TypeError('offline')));
    show(
      <>
        <p>The rest</p>
        <Screen name="sheet">
          <Sheet />
        </Screen>
      </>,
    );
    expect(await screen.findByRole('alert')).toHaveProperty('textContent', expect.stringContaining('The sheet could not be drawn.'));
    expect(screen.getByText('The rest')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
    silent.mockRestore();
  });

  it('keeps its trouble to itself: the next one is drawn', async () => {
    const silent = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const Broken = () => {
      throw new TypeError('nothing to draw');
    };
    const Sheet = () => <Link to="/roasts/1/live">Live</Link>;
    show(
      <Routes>
        <Route path="/" element={<Screen name="hearth">Nothing is on the fire.</Screen>} />
        <Route path="/roasts/1/sheet" element={<Screen name="roast">{<Sheet />}</Screen>} />
        <Route path="/roasts/1/live" element={<Screen name="roast">{<Broken />}</Screen>} />
      </Routes>,
      undefined,
      '/roasts/1/sheet',
    );
    await userEvent.click(screen.getByRole('link', { name: 'Live' }));
    expect(screen.getByRole('alert')).toHaveTextContent('The roast could not be drawn.');
    await userEvent.click(screen.getByRole('link', { name: 'To the hearth' }));
    expect(screen.getByText('Nothing is on the fire.')).toBeTruthy();
    silent.mockRestore();
  });

  it('is fetched ahead once, and again only where it failed', async () => {
    const sound = vi.fn(() => Promise.resolve(() => <p>Sound</p>));
    let network = false;
    const shaky = vi.fn(() => (network ? Promise.resolve(() => <p>There</p>) : Promise.reject(new TypeError('offline'))));
    fetched(sound);
    fetched(shaky);
    await fetchTheRest();
    network = true;
    await fetchTheRest();
    await fetchTheRest();
    expect(sound).toHaveBeenCalledTimes(1);
    expect(shaky).toHaveBeenCalledTimes(2);
  });
});
