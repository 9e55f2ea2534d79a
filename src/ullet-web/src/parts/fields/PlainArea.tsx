import { useId } from "react";

interface Props {
  label: string;
  value: string;
  className?: string;
  onChange: (text: string) => void;
}

/** Lines of text in a form: what is typed or pasted is the form's at once. */
export function PlainArea({ label, value, className = "", onChange }: Props) {
  const id = useId();
  return (
    <div className="min-w-0 flex-1">
      <label htmlFor={id} className="block text-[13px] text-muted">
        {label}
      </label>
      <textarea
        id={id}
        value={value}
        spellCheck={false}
        className={`w-full rounded-card border border-field bg-white p-2 ${className}`}
        onChange={(event) => onChange(event.target.value)}
      />
    </div>
  );
}
