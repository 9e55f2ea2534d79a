import type { PatternDrawing } from "../api/client";

interface Props {
  drawing: PatternDrawing;
  label?: string;
  className?: string;
}

/** A pattern drawn from its own lines: the edge strong, what is sewn inside fine, zones hatched, fill-ins in their rooms, or the rooms dotted. */
export function PatternPicture({ drawing, label, className = "" }: Props) {
  const room = 8;
  const [w, h] = [drawing.width + 2 * room, drawing.height + 2 * room];
  const fine = Math.max(w, h) / 200;
  return (
    <svg
      viewBox={`${-w / 2} ${-h / 2} ${w} ${h}`}
      className={className}
      role={label ? "img" : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
    >
      <path d={drawing.edge} fill="#f6efdf" stroke="none" />
      <path d={drawing.zones} fill="rgb(90 104 120 / 0.22)" stroke="none" />
      <path d={drawing.lines} fill="none" stroke="#8a96a4" strokeWidth={fine} />
      <path
        d={drawing.shown ? "" : drawing.rooms}
        fill="rgb(59 75 163 / 0.08)"
        stroke="#3b4ba3"
        strokeWidth={fine}
        strokeDasharray={`${3 * fine} ${3 * fine}`}
      />
      {drawing.shown ? (
        <path
          d={drawing.shown}
          fill="rgb(151 48 79 / 0.55)"
          fillRule="evenodd"
          stroke="#6d2039"
          strokeWidth={fine}
        />
      ) : null}
      <path d={drawing.edge} fill="none" stroke="#1d2a3a" strokeWidth={2.2 * fine} />
    </svg>
  );
}
