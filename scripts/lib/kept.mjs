/** How long a server keeps an idle connection, ms: longer than whoever asks it does, so that none is shut as it is used. */
export const KEPT_MS = 75_000;
