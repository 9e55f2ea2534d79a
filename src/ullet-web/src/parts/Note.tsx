import type { ReactNode } from "react";

interface Props {
  /** Quiet: smaller, beside fields. Wrong: something does not hold. */
  look?: "plain" | "quiet" | "wrong";
  className?: string;
  children: ReactNode;
}

const LOOKS = {
  plain: "bg-chalk text-[14px]",
  quiet: "bg-chalk text-[13px] text-muted",
  wrong: "border border-madder bg-madder-pale",
};

/** A sentence or two on their own ground, for what is to be known before going on. */
export function Note({ look = "plain", className = "", children }: Props) {
  return <p className={`rounded-card px-3 py-1.5 ${LOOKS[look]} ${className}`}>{children}</p>;
}
