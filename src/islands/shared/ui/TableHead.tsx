/** The names of a table's columns; an empty one stays unnamed. */
export function TableHead({ columns }: { columns: readonly string[] }) {
  return (
    <thead>
      <tr>
        {columns.map((name) => (
          <th key={name} scope="col">
            {name}
          </th>
        ))}
      </tr>
    </thead>
  );
}
