/** Name of the laboratory that issues the reports; set for an installation by BRICOLE_LABORATORY. */
export const LABORATORY = process.env.BRICOLE_LABORATORY ?? 'Saltmarsh Road Materials Laboratory';
