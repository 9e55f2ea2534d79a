/** Where the eyes stand: screen = mm · scale + (x, y), in CSS pixels. */
export interface Camera {
  scale: number;
  x: number;
  y: number;
}

export interface Place {
  x: number;
  y: number;
}

const LEAST_SCALE = 0.4;
const MOST_SCALE = 80;

/** The whole field in the middle, with room round it for the hoop. */
export function fitted(fieldWidth: number, fieldHeight: number, width: number, height: number): Camera {
  const room = 44;
  const scale = Math.max(
    LEAST_SCALE,
    Math.min((width - room * 2) / fieldWidth, (height - room * 2) / fieldHeight),
  );
  return { scale, x: width / 2, y: height / 2 };
}

/** Zooms by a factor so that what is under a place of the screen stays there. */
export function zoomedAt(camera: Camera, factor: number, at: Place): Camera {
  const scale = Math.min(MOST_SCALE, Math.max(LEAST_SCALE, camera.scale * factor));
  const by = scale / camera.scale;
  return { scale, x: at.x - (at.x - camera.x) * by, y: at.y - (at.y - camera.y) * by };
}

export function toWorld(camera: Camera, at: Place): Place {
  return { x: (at.x - camera.x) / camera.scale, y: (at.y - camera.y) / camera.scale };
}

export function toScreen(camera: Camera, at: Place): Place {
  return { x: at.x * camera.scale + camera.x, y: at.y * camera.scale + camera.y };
}

/** Makes a context draw in mm. */
export function apply(ctx: CanvasRenderingContext2D, camera: Camera, ratio: number) {
  const s = camera.scale * ratio;
  ctx.setTransform(s, 0, 0, s, camera.x * ratio, camera.y * ratio);
}
