import type { Appointment } from '../core/sessions/appointment.ts';
import { db } from './database.ts';

/** Appointments of a person, the first first. */
export async function listAppointments(personId: string): Promise<Appointment[]> {
  const rows = await db.appointments.where('personId').equals(personId).toArray();
  return rows
    .map(({ personId: _owner, ...appointment }) => appointment)
    .sort((a, b) => a.start.localeCompare(b.start));
}

export async function saveAppointment(personId: string, appointment: Appointment): Promise<void> {
  await db.appointments.put({ ...appointment, personId });
}

export async function removeAppointment(personId: string, id: string): Promise<void> {
  await db.appointments.delete([personId, id]);
}
