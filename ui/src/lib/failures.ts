// What failed and nobody has told: every press has an answer.
import { Problem } from './api';
import { say } from './say';
import { toast } from './toasts.svelte';

/** Tell what was refused, or broke, where no page did, until the returned function is called. */
export function tellFailures(): () => void {
  const onFailure = (event: PromiseRejectionEvent) => {
    const { reason } = event as { reason: unknown };
    const text = reason instanceof Problem ? reason.words : say('app-did-not-work');
    toast(text.trim(), { tone: 'wrong' });
    // A refusal was told; what broke is for the console, too.
    if (reason instanceof Problem) event.preventDefault();
  };
  addEventListener('unhandledrejection', onFailure);
  return () => removeEventListener('unhandledrejection', onFailure);
}
