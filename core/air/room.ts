/** Room temperature where nobody has said otherwise, °C (estimate). */
export const USUAL_ROOM_CELSIUS = 20;
/** A room is never colder or warmer than this, °C. */
export const COLDEST_ROOM = -40;
export const WARMEST_ROOM = 50;

/** Rooms told apart without a thermometer, °C (estimate): a church in winter, a stage under lights. */
export const ROOMS_FELT = { cold: 10, hot: 28 } as const;
