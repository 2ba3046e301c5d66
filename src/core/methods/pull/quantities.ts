/** What a pull comes to, where criteria and sets name it too. */
export const STRENGTH = 'pull-off strength';
export const GLUE = 'share parted in the glue';
export const PLANE = 'parted mostly in';
