'use client';

import { createStore } from 'zustand';

/** What is looked at, and nothing that is stored: the day, the lit parts, how much movement is exaggerated. */
export interface Look {
  /** Days after the season's start; null until somebody chooses. */
  day: number | null;
  setDay: (day: number) => void;
  lit: readonly string[];
  light: (ids: readonly string[]) => void;
  exaggeration: number;
  setExaggeration: (times: number) => void;
  /** Questions of the form whose fields are shown. */
  openQuestions: readonly string[];
  openQuestion: (id: string, open: boolean) => void;
  showQuestions: (ids: readonly string[]) => void;
  /** Space of a case that is in hand. */
  space: string | null;
  takeSpace: (id: string) => void;
  yearFolded: boolean;
  foldYear: (folded: boolean) => void;
}

export const createLookStore = () =>
  createStore<Look>()((set, get) => ({
    day: null,
    setDay: (day) => set({ day }),
    lit: [],
    light: (lit) => {
      if (lit.length > 0 || get().lit.length > 0) set({ lit });
    },
    exaggeration: 1,
    setExaggeration: (exaggeration) => set({ exaggeration }),
    openQuestions: ['size'],
    openQuestion: (id, open) => {
      const others = get().openQuestions.filter((own) => own !== id);
      if (open !== get().openQuestions.includes(id)) set({ openQuestions: open ? [...others, id] : others });
    },
    showQuestions: (openQuestions) => set({ openQuestions }),
    space: null,
    takeSpace: (space) => {
      set({ space });
      get().openQuestion('inside', true);
    },
    yearFolded: false,
    foldYear: (yearFolded) => set({ yearFolded }),
  }));
