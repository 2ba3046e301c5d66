/** What the tests of a floor come to, where criteria name it too. */
export const EMISSION = 'vapour emission';
export const SEEN = 'moisture under the sheet';
export const UNDER_BOX = 'humidity under a box';
export const CARBIDE = 'carbide moisture';
