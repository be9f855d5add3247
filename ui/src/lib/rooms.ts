// A room of the table of pages, loaded when it is entered.
import { ROOMS } from 'virtual:rooms';

export function roomOf(room: string): (typeof ROOMS)[string] {
  const load = ROOMS[room];
  if (!load) throw new Error(`No room ${room}.`);
  return load;
}
