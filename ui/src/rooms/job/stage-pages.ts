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
