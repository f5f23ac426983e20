import type { ReactNode } from 'react';

/** Opens a file and hands over its text; the same file can be chosen again. */
export function FileButton({
  accept,
  onText,
  quiet = false,
  children,
}: {
  accept: string;
  onText: (text: string) => void;
  quiet?: boolean;
  children: ReactNode;
}) {
  return (
    <label className={`cursor-pointer focus-within:outline-3 focus-within:outline-water ${quiet ? 'text-push flex items-center' : 'push'}`}>
      {children}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file !== undefined) void file.text().then(onText);
          event.target.value = '';
        }}
      />
    </label>
  );
}
