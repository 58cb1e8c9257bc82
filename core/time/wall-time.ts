/** What a clock on the wall shows, as the milliseconds it would be in UTC: exact whatever the clocks of a zone do. */
export type WallParts = {
  readonly year: number;
  /** 1 to 12. */
  readonly month: number;
  readonly day: number;
  readonly hour: number;
  readonly minute: number;
  readonly second: number;
};

/** @returns NaN where a part is none */
export const wallOfParts = ({ year, month, day, hour, minute, second }: WallParts): number =>
  Date.UTC(year, month - 1, day, hour, minute, second);

export function partsOfWall(wall: number): WallParts {
  const at = new Date(wall);
  return {
    year: at.getUTCFullYear(),
    month: at.getUTCMonth() + 1,
    day: at.getUTCDate(),
    hour: at.getUTCHours(),
    minute: at.getUTCMinutes(),
    second: at.getUTCSeconds(),
  };
}

/** For libraries that count in dates whose UTC parts are what a clock shows. */
export const dateOfWall = (wall: number): Date => new Date(wall);
/** `2026-11-27T18:30:00` */
export const wallText = (wall: number): string => new Date(wall).toISOString().slice(0, 19);
