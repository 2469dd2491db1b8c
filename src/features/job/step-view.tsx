'use client';

import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import type { Step } from '@/core';

/** The screen of each step, fetched when it is first gone to. */
const VIEWS: Record<Step, ComponentType> = {
  brief: dynamic(() => import('../brief/brief-step').then((m) => m.BriefStep)),
  form: dynamic(() => import('../form/form-step').then((m) => m.FormStep)),
  season: dynamic(() => import('../season/season-step').then((m) => m.SeasonStep)),
  joints: dynamic(() => import('../joints/joints-step').then((m) => m.JointsStep)),
  layout: dynamic(() => import('../layout/layout-step').then((m) => m.LayoutStep)),
  'glue-up': dynamic(() => import('../glue-up/glue-up-step').then((m) => m.GlueUpStep)),
  plan: dynamic(() => import('../plan/plan-step').then((m) => m.PlanStep)),
  bench: dynamic(() => import('../bench/bench-step').then((m) => m.BenchStep)),
};

export function StepView({ step }: { step: Step }) {
  const View = VIEWS[step];
  return <View />;
}
