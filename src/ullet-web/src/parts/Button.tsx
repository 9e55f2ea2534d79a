import type { ButtonHTMLAttributes } from "react";

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  look?: "plain" | "main" | "quiet" | "trouble";
}

const LOOKS = {
  plain: "border border-line bg-white hover:border-field hover:bg-chalk",
  main: "border border-indigo bg-indigo text-white hover:bg-indigo-deep",
  quiet: "border border-transparent hover:bg-chalk",
  trouble: "border border-line bg-white text-madder hover:bg-madder-pale",
};

export const buttonClass = (look: keyof typeof LOOKS = "plain") =>
  `inline-flex min-h-8 items-center justify-center gap-1.5 rounded-card px-3 py-1 text-[14px] font-medium whitespace-nowrap transition-colors duration-100 disabled:opacity-45 ${LOOKS[look]}`;

export function Button({ look = "plain", className = "", ...rest }: Props) {
  return <button type="button" {...rest} className={`${buttonClass(look)} ${className}`} />;
}
