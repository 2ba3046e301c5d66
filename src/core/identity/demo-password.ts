/** The password of every demo sign-in: printed where the demo is started, and so no password for anybody else. */
export const DEMO_PASSWORD = 'quay-lantern-tide';
