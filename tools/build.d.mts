export const areProgramsBuilt: () => boolean;
