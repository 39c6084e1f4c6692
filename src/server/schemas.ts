import backup from '../../docs/formats/backup.schema.json' with { type: 'json' };
import flow from '../../docs/formats/flow.schema.json' with { type: 'json' };
import home from '../../docs/formats/home.schema.json' with { type: 'json' };
import person from '../../docs/formats/person.schema.json' with { type: 'json' };
import props from '../../docs/formats/props.schema.json' with { type: 'json' };
import rules from '../../docs/formats/rules.schema.json' with { type: 'json' };
import setUp from '../../docs/formats/set-up.schema.json' with { type: 'json' };
import studio from '../../docs/formats/studio.schema.json' with { type: 'json' };
import { refuse } from './problemAnswer.ts';

const SCHEMAS = new Map<string, unknown>(
  Object.entries({ person, 'set-up': setUp, rules, props, studio, backup, flow, home }),
);

/** `GET /api/schemas/{name}`: the JSON Schema of a format. */
export function answerSchema(name: string | undefined): Response {
  const schema = SCHEMAS.get(name ?? '');
  if (schema === undefined) {
    return refuse(404, `There are schemas for ${[...SCHEMAS.keys()].join(', ')}.`);
  }
  return new Response(JSON.stringify(schema, null, 2), {
    headers: { 'Content-Type': 'application/schema+json' },
  });
}
