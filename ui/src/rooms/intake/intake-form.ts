// What a known device fills in at intake, and what was agreed with its customer.
import { client, take, type Job, type Schemas } from '../../lib/api';
import { formOf, type FormOf } from '../../lib/fields';
import { intakeFields, type IntakeFields } from '../../lib/job/job-fields';
import { apart } from '../../lib/job/still-open';

export type IntakeForm = FormOf<IntakeFields>;

/** The form with what is known of a device that has been here; whose it is and what was typed stays. */
export function withDevice(form: IntakeForm, device: Schemas['DeviceOut']): IntakeForm {
  const { customer, customer_contact, ...rest } = apart(device);
  const known = Object.entries({ ...rest, device_id: device.id }).filter(([key]) => key in form);
  const list = intakeFields();
  return {
    ...form,
    ...Object.fromEntries(known.map(([key, value]) => [key, formOf(list, { [key]: value } as never)[key as 'serial']])),
    customer_name: form.customer_name || customer,
    customer_contact: form.customer_contact || customer_contact,
  };
}

/** What was agreed goes with its gate, where the saved job has one. */
export async function agree(kept: Job, agreed: Record<string, string>): Promise<Job> {
  for (const gate of kept.gates) {
    const words = agreed[gate.rule]?.trim();
    if (!words || gate.acknowledged_by) continue;
    const params = { path: { job_id: kept.id } };
    kept = await take(client.POST('/api/jobs/{job_id}/acknowledgements', { params, body: { rule: gate.rule, words } }));
  }
  return kept;
}
