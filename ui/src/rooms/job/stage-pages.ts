// A page a stage, each loaded when its stage is opened.
export const STAGE_PAGES = {
  intake: () => import('./Intake.svelte'),
  measure: () => import('./Measure.svelte'),
  plan: () => import('../plan/PlanPage.svelte'),
  open: () => import('../open/OpenPage.svelte'),
  clean: () => import('../clean/CleanPage.svelte'),
  close: () => import('../close/ClosePage.svelte'),
  fit: () => import('./Fit.svelte'),
  verdict: () => import('./VerdictPage.svelte'),
  handover: () => import('./HandOver.svelte'),
};
