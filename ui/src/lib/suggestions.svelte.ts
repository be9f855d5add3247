// What was typed in a field before, asked for when the field gets the focus.
import { client, take } from './api';
import { quietly } from './asking.svelte';

export class Suggestions {
  private lists = $state<Record<string, string[]>>({});

  of(field: string): string[] {
    return this.lists[field] ?? [];
  }

  /** Ask the server. Without an answer the field simply offers nothing. */
  async ask(field: string, within = ''): Promise<void> {
    const found = await quietly(take(client.GET('/api/suggestions', { params: { query: { field, within } } })));
    if (found) this.lists = { ...this.lists, [field]: found.suggestions };
  }
}
