import { useState } from 'react';
import { Refused } from '../api/client';
import { FileButton } from './FileButton';

const MOST_SAID = 6;

/** A file that is read in whole or not at all: what is wrong with it is said by its fields. */
export function FileImport({ label, onText }: { label: string; onText: (text: string) => Promise<void> }) {
  const [wrong, setWrong] = useState<string[]>([]);
  const read = async (text: string) => {
    setWrong([]);
    try {
      await onText(text);
    } catch (error) {
      setWrong(
        error instanceof Refused
          ? Object.entries(error.errors).map(([path, messages]) => `${path}: ${messages.join(' ')}`)
          : [(error as Error).message],
      );
    }
  };
  return (
    <div>
      <FileButton accept=".json,application/json" onText={(text) => void read(text)}>
        {label}
      </FileButton>
      {wrong.length > 0 && (
        <div role="alert" className="mt-2 max-w-md font-semibold text-ember">
          <p>Nothing was taken from that file:</p>
          <ul className="list-disc pl-5">
            {wrong.slice(0, MOST_SAID).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
