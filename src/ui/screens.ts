/** What a screen can be made to look like, for this browser; without a choice it follows the system. */
export const SCREENS = ['light', 'dark', 'bench'] as const;
export type Screen = (typeof SCREENS)[number];

export const SCREEN_COOKIE = 'taller-board';
