/** One thing done, logged with one tap. */
export function Act({
  name,
  letter,
  onClick,
  disabled = false,
}: {
  name: string;
  letter: string;
  onClick: () => void;
  disabled?: boolean;
}) {
  return (
    <button type="button" className="push min-h-12 justify-between" onClick={onClick} disabled={disabled}>
      {name} <Key>{letter}</Key>
    </button>
  );
}

export function Key({ children }: { children: string }) {
  return (
    <kbd aria-hidden="true" className="hidden text-label font-semibold opacity-60 lg:inline">
      {children}
    </kbd>
  );
}
