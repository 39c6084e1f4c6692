import { tasks, type Tasks } from './tasks.ts';

type Task = { readonly name: keyof Tasks; readonly asked: never } | { readonly name: 'ready' };

/** The worker thread's side: one task, by its name; `ready` only says that it is loaded. */
export default function run(task: Task): unknown {
  return task.name === 'ready' ? true : tasks[task.name](task.asked);
}
