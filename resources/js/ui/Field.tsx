import { useId, type ReactNode } from 'react';

type Control = { id: string; 'aria-invalid': boolean; 'aria-describedby': string | undefined };

/** A labelled control with a hint under it, or what is wrong with it. */
export function Field({
  label,
  hint,
  errors = [],
  children,
}: {
  label: string;
  hint?: ReactNode;
  errors?: readonly string[];
  children: (control: Control) => ReactNode;
}) {
  const id = useId();
  const noteId = `${id}-note`;
  const wrong = errors.length > 0;
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="label mb-1 block">
        {label}
      </label>
      {children({ id, 'aria-invalid': wrong, 'aria-describedby': wrong || hint !== undefined ? noteId : undefined })}
      {wrong ? (
        <p id={noteId} className="mt-1 text-label font-semibold text-ember">
          {errors.join(' ')}
        </p>
      ) : (
        hint !== undefined && (
          <p id={noteId} className="label mt-1">
            {hint}
          </p>
        )
      )}
    </div>
  );
}
