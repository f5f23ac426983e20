import type { Message } from './say';

/** Words of a test's own as the server would send them. */
export const text = (words: string): Message => ({ id: 'words.text', values: { text: words } });
