/** The header under which a device names itself: a key it made, so that all devices are served in turn. */
export const DEVICE_HEADER = 'Ulu-Device';
/** A longer name is no name. */
export const LONGEST_DEVICE_NAME = 64;
