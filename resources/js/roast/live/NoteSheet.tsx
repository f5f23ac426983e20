import { useState } from 'react';
import { Sheet } from '../../ui/Sheet';

/** A note in the cook’s own words. */
export function NoteSheet({ open, onClose, onSave }: { open: boolean; onClose: () => void; onSave: (note: string) => void }) {
  const [note, setNote] = useState('');
  return (
    <Sheet title="Note" open={open} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (note.trim() === '') return;
          onSave(note.trim());
          setNote('');
        }}
      >
        <label htmlFor="note" className="label">
          What happened
        </label>
        <textarea
          id="note"
          className="field mt-1 py-2"
          rows={3}
          maxLength={500}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <button type="submit" className="push push-main mt-3 w-full" disabled={note.trim() === ''}>
          Log it
        </button>
      </form>
    </Sheet>
  );
}
