// Who is signed in. The demo signs itself in when the server offers it.
import { draftsOf } from './draft.svelte';
import { forgetAnswers } from './offline';
import { say } from './say';
import { useZone } from './zone';
import { toast } from './toasts.svelte';
import { client, Problem, rememberToken, take, type Session } from './api';

let present = $state<Session | null>(null);
let trouble = $state('');

export const session = {
  get present() {
    return present;
  },
  get trouble() {
    return trouble;
  },
};

function keep(found: Session): Session {
  rememberToken(found.csrf_token);
  // What one person has seen is not shown to the next.
  const who = found.person?.id ?? '';
  draftsOf(who);
  useZone(found.person?.zone);
  if (who && localStorage.getItem('last-person') !== who) {
    if (localStorage.getItem('last-person')) void forgetAnswers();
    localStorage.setItem('last-person', who);
  }
  present = found;
  return found;
}

export async function openSession(): Promise<void> {
  try {
    trouble = '';
    const found = await take(client.GET('/api/session'));
    rememberToken(found.csrf_token);
    const left = sessionStorage.getItem('signed-out') === 'yes';
    // The door is not shown where the demo opens it by itself.
    const opens = !found.person && found.demo_available && !left;
    keep(opens ? await take(client.POST('/api/session/demo')) : found);
  } catch (error) {
    trouble = error instanceof Problem ? error.words : String(error);
  }
}

export async function signIn(login: string, password: string): Promise<void> {
  keep(await take(client.POST('/api/session', { body: { login, password } })));
  sessionStorage.removeItem('signed-out');
}

export async function signInDemo(): Promise<void> {
  keep(await take(client.POST('/api/session/demo')));
  sessionStorage.removeItem('signed-out');
}

/** A tablet comes in with the code that it was shown. */
export async function pairTablet(code: string): Promise<void> {
  keep(await take(client.POST('/api/session/pair', { body: { code } })));
  sessionStorage.removeItem('signed-out');
}

/** Leave. Only the server can end a session: without a line it is told that nothing has ended. */
export async function signOut(): Promise<void> {
  try {
    keep(await take(client.DELETE('/api/session')));
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    toast(say('session-not-signed-out', { detail: error.body.detail }), { tone: 'wrong' });
    return;
  }
  await forgetAnswers();
  sessionStorage.setItem('signed-out', 'yes');
}

export async function setUp(body: {
  code: string;
  zone: string;
  shop_name: string;
  name: string;
  login: string;
  password: string;
}): Promise<void> {
  keep(await take(client.POST('/api/set-up', { body })));
}
