// Day, night, or as the system says.
export type Theme = 'day' | 'night' | 'system';

function stored(): Theme {
  try {
    const value = localStorage.getItem('theme');
    return value === 'day' || value === 'night' ? value : 'system';
  } catch {
    return 'system';
  }
}

let chosen = $state<Theme>(stored());

export const theme = {
  get chosen() {
    return chosen;
  },
};

export function choose(next: Theme): void {
  chosen = next;
  if (next === 'system') delete document.documentElement.dataset.theme;
  else document.documentElement.dataset.theme = next;
  try {
    if (next === 'system') localStorage.removeItem('theme');
    else localStorage.setItem('theme', next);
  } catch {
    // The choice then lasts for this page only.
  }
}
