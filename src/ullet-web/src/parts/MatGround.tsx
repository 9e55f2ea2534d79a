import type { MatPhoto } from "../api/client";

/** A cutter's mat with its grid of 10 and 50 mm, drawn in mm. */
export function MatGround({ width, height }: { width: number; height: number }) {
  return (
    <>
      <defs>
        <pattern id="mat-grid" width="10" height="10" patternUnits="userSpaceOnUse">
          <path d="M10 0H0V10" fill="none" stroke="#9dc0b9" strokeWidth="0.25" />
        </pattern>
        <pattern id="mat-grid-wide" width="50" height="50" patternUnits="userSpaceOnUse">
          <path d="M50 0H0V50" fill="none" stroke="#7fa89f" strokeWidth="0.5" />
        </pattern>
      </defs>
      <rect width={width} height={height} rx="3" fill="#d6e7e3" />
      <rect width={width} height={height} rx="3" fill="url(#mat-grid)" />
      <rect
        width={width}
        height={height}
        rx="3"
        fill="url(#mat-grid-wide)"
        stroke="#1f7a6d"
        strokeWidth="0.8"
      />
    </>
  );
}

/** Where a picture of printed cloth is fetched: a print that ships with Ullet, or one that was brought in. */
export const photoAddress = (picture: string) =>
  picture.startsWith("print-") ? `/prints/${picture}.jpg` : `/api/assets/${picture}`;

/** A photo of printed cloth on the mat, at its true size. */
export function MatPicture({ photo }: { photo: MatPhoto }) {
  return (
    <image
      href={photoAddress(photo.picture)}
      x={photo.x}
      y={photo.y}
      width={photo.width}
      preserveAspectRatio="xMinYMin"
    />
  );
}
