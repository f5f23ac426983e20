import { Field } from './Field';

/** A password: never shown; where it is a new one, what it may be is said under it. A form reads it by its name or follows its value. */
export function PasswordField({
  label,
  isNew = false,
  errors,
  name,
  value,
  onChange,
}: {
  label: string;
  isNew?: boolean;
  errors?: string[] | undefined;
  name?: string;
  value?: string;
  onChange?: (password: string) => void;
}) {
  return (
    <Field
      label={label}
      errors={errors}
      hint={isNew ? 'Ten to 72 characters; four words that have nothing to do with each other are good' : undefined}
    >
      {(control) => (
        <input
          {...control}
          name={name}
          type="password"
          autoComplete={isNew ? 'new-password' : 'current-password'}
          className="field"
          value={value}
          onChange={onChange === undefined ? undefined : (event) => onChange(event.target.value)}
        />
      )}
    </Field>
  );
}
