export const entriesWait = (many: number): string =>
  many === 1 ? 'One entry was logged here and is not sent yet.' : `${many} entries were logged here and are not sent yet.`;
