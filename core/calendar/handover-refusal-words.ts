/** Why a list of packing or fetching cannot be written down so. */
export const HANDOVER_REFUSALS = {
  'handover-line-unknown': () => 'One of the lines is not for this instrument.',
  'handover-line-twice': () => 'One of the lines is there twice.',
};
