import type { ButtonHTMLAttributes } from "react";

/** A button that reads like a word of its sentence. */
export function TextButton({ className = "", ...rest }: ButtonHTMLAttributes<HTMLButtonElement>) {
  return <button type="button" {...rest} className={`text-indigo hover:underline ${className}`} />;
}
