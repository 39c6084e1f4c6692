import { useLiveQuery } from 'dexie-react-hooks';
import { listClasses } from '../../data/classes.ts';
import { Opening } from '../shared/Opening.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { whenOpen } from '../shared/whenOpen.ts';
import { ClassList } from './ClassList.tsx';
import { ClassView } from './ClassView.tsx';
import { classesView as say } from './words.ts';

/** The classes of this teacher: a list of them, or one. */
export function ClassesView() {
  const [query, setQuery] = useQuery();
  const classes = useLiveQuery(whenOpen(listClasses), []);
  if (classes === undefined) return <Opening />;
  const asked = query.get('class');
  const yogaClass = classes.find(({ id }) => id === asked) ?? null;
  const open = (id: string | null): void => {
    setQuery({ class: id, part: null, pose: null });
  };
  if (yogaClass !== null) {
    return (
      <ClassView
        key={yogaClass.id}
        yogaClass={yogaClass}
        others={classes.filter(({ id }) => id !== yogaClass.id)}
        onClose={() => {
          open(null);
        }}
      />
    );
  }
  return (
    <>
      {asked !== null && <p role="status">{say.notFound}</p>}
      <ClassList classes={classes} onOpen={open} />
    </>
  );
}
