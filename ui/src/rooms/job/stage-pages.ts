// A page a stage, each loaded when its stage is opened.
export const STAGE_PAGES = {
  intake: () => import('../intake/Intake.svelte'),
  measure: () => import('../measure/Measure.svelte'),
  plan: () => import('../plan/PlanPage.svelte'),
  open: () => import('../open/OpenPage.svelte'),
  clean: () => import('../clean/CleanPage.svelte'),
  close: () => import('../close/ClosePage.svelte'),
  fit: () => import('../fit/Fit.svelte'),
  verdict: () => import('../verdict/VerdictPage.svelte'),
  handover: () => import('./HandOver.svelte'),
};

/** The script of a stage, by the name in its address. */
export const pageOfStage = (stage: string): (() => Promise<unknown>) | undefined =>
  stage === 'before' || stage === 'after'
    ? STAGE_PAGES.measure
    : (STAGE_PAGES as Partial<Record<string, () => Promise<unknown>>>)[stage];
