// Steps that are told in one go: a second's hold on the large button tells the step shown and the plain ones behind it.
import { brokenGuard, factsOf, runningWait } from './project';
import type { Bench, Step } from './types';

/** What holds once some steps are done, one after the other. plugsOpen: name of the fact that something is unplugged,
 * which follows from the places and not from an act. */
function* onward(bench: Bench, plugsOpen: string): Generator<Set<string>, never, Step> {
  const plugs = new Set(bench.places.filter((p) => p.kind === 'plug' && p.holds !== 'battery').map((p) => p.id));
  const out = new Set(bench.places.filter((p) => plugs.has(p.id) && p.is_out).map((p) => p.id));
  let facts = new Set(factsOf(bench));
  for (;;) {
    const step = yield facts;
    facts = new Set(facts);
    for (const gone of step.cancels) facts.delete(gone);
    for (const made of [...step.acts, ...step.makes]) facts.add(made);
    for (const id of step.takes_out) if (plugs.has(id)) out.add(id);
    for (const id of step.puts_in) out.delete(id);
    if (out.size) facts.add(plugsOpen);
    else facts.delete(plugsOpen);
  }
}

/** The steps that a hold tells, the shown one first. It ends with whatever is held itself, starts a wait or is told
 * alone, and on a model without a kept map also with each step that may not be skipped; it never reaches what is told
 * alone, a measured dose, the first power-on, or a step whose rule would be broken. now: by the server's clock. */
export function runOf(bench: Bench, index: number, now: number, plugsOpen: string): Step[] {
  const first = bench.steps[index];
  if (!first || first.outcome || first.shows === 'power') return [];
  if (runningWait(first, bench.waits, now) || brokenGuard(first.guards, factsOf(bench))) return [];
  const known = bench.model_places > 0 && bench.places.length > 0;
  const facts = onward(bench, plugsOpen);
  facts.next();
  const run: Step[] = [first];
  for (const next of bench.steps.slice(index + 1)) {
    const last = run.at(-1) as Step;
    const held = facts.next(last).value;
    if (last.held || last.wait || last.alone || (!known && !last.skippable)) break;
    if (next.outcome || next.alone || next.asks || next.shows === 'power') break;
    if (runningWait(next, bench.waits, now) || brokenGuard(next.guards, held)) break;
    run.push(next);
  }
  return run;
}
