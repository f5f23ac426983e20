import { Field } from './Field';

type Props = {
  label: string;
  value: string;
  onChange: (value: string) => void;
  maxLength?: number;
  placeholder?: string;
  errors?: readonly string[];
  /** more than one line */
  rows?: number;
};

/** Words in a field, in one line or several. */
export function TextField({ label, value, onChange, maxLength, placeholder, errors, rows }: Props) {
  return (
    <Field label={label} errors={errors}>
      {(control) => {
        const shared = { ...control, maxLength, placeholder, value };
        return rows === undefined ? (
          <input {...shared} className="field" onChange={(event) => onChange(event.target.value)} />
        ) : (
          <textarea {...shared} rows={rows} className="field py-2 font-normal" onChange={(event) => onChange(event.target.value)} />
        );
      }}
    </Field>
  );
}
