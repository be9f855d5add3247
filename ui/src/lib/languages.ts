// Languages that customers can be written to in, by their own names.
import { session } from './session.svelte';

export const languageOptions = (): { value: string; label: string }[] =>
  (session.present?.languages ?? ['en']).map((value) => ({
    value,
    label: new Intl.DisplayNames([value], { type: 'language' }).of(value) ?? value,
  }));
