import { lazy, memo } from 'react';
import { getProtocol } from '../../core/measures/protocols/index.ts';
import type { LyingPose } from '../../core/poses/lying/lyingPose.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import { findChosenRules } from '../../core/rules/chosenSchools.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { metresFromCm } from '../../core/units/brands.ts';
import { writeLength, type LengthUnit } from '../../core/units/readQuantity.ts';
import { cuesPart } from '../cues/words.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { LazyDetails } from '../shared/ui/LazyDetails.tsx';
import { useUnit } from '../shared/useRecord.ts';
import type { ShownSetUp } from './setUpLink.ts';
import { FurtherView } from './FurtherView.tsx';
import { MovedSentence } from './Moving.tsx';
import { SaveSheet } from './SaveSheet.tsx';
import { SettingsList, Working } from './SettingsList.tsx';
import type { PlanRequest } from './usePlanned.ts';
import { Vessels } from './Vessels.tsx';
import { beside as say } from './words.ts';

const CuesPart = lazy(async () => ({ default: (await import('../cues/CuesPart.tsx')).CuesPart }));

interface BesideProps {
  request: PlanRequest;
  pose: PoseDefinition | LyingPose;
  shown: ShownSetUp;
}

/** What a set-up asks, its recipe, and what else there is to know. */
export const Beside = memo(function Beside({ request, pose: whole, shown }: BesideProps) {
  const { setUp, planned, moved } = shown;
  const unit = useUnit();
  if (setUp === null) return null;
  const solved = setUp.status !== 'failed';
  const { person } = request.record;
  const pose = 'starts' in whole ? whole : null;
  const isOwnSchool = Object.keys(findChosenRules(request.record, whole.id)).length > 0;
  return (
    <aside className="max-desk:col-span-full *:[h2]:first:mt-0">
      {solved && pose !== null && (
        <>
          <h2 id="margins" tabIndex={-1}>
            {say.limitingJointMargins}
          </h2>
          <MovedSentence moved={moved} />
          <Vessels setUp={setUp} />
        </>
      )}
      {solved && (
        <>
          <h2>{say.orderWork}</h2>
          <SettingsList setUp={setUp} unit={unit} />
          {isOwnSchool && <p className="text-faint">{say.usesChosenSchool}</p>}
          <MatFit setUp={setUp} unit={unit} />
          {setUp.problems.length > 0 && (
            <>
              <h2>{say.goodKnow}</h2>
              <ProblemList problems={setUp.problems} />
            </>
          )}
        </>
      )}
      {setUp.adaptations.length > 0 && (
        <section className="print:hidden">
          <h2>{say.changedForPerson}</h2>
          <ul className="grid gap-[0.35rem]">
            {setUp.adaptations.map((each) => (
              <li key={each.caution}>
                <strong>{each.name}.</strong> {each.change}{' '}
                <span className="text-faint">{each.reason}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {setUp.cautions.length > 0 && (
        <section className="print:hidden">
          <h2>{say.withPerson}</h2>
          <ul className="grid gap-[0.35rem]">
            {setUp.cautions.map((each) => (
              <li key={each.id}>
                <strong>{each.name}.</strong> {each.advice}
              </li>
            ))}
          </ul>
        </section>
      )}
      {solved && (
        <FurtherView
          request={request}
          isStanding={pose !== null}
          onPush={() => {
            moved.move({ depth: planned?.depth?.textbook ?? null }, true);
          }}
        />
      )}
      {solved && (
        <LazyDetails id="cues" summary={cuesPart.summary}>
          {() => (
            <CuesPart record={request.record} pose={whole} rules={request.rules} setUp={setUp} />
          )}
        </LazyDetails>
      )}
      {solved && pose !== null && <More pose={pose} setUp={setUp} />}
      {solved && <SaveSheet personId={person.id} name={person.name} pose={pose} setUp={setUp} />}
      {solved && <p className="text-faint">{say.notDiagnosis}</p>}
    </aside>
  );
});

/** Whether the stance fits the mat, in the teacher's units. */
function MatFit({ setUp, unit }: { setUp: SetUp; unit: LengthUnit }) {
  // A lying form is drawn on its mat; nothing says that it fits.
  if (setUp.mat === null || setUp.footprints === null || !setUp.mat.fits) return null;
  const { lengthCm, widthCm } = setUp.mat;
  const size = [lengthCm, widthCm].map((cm) => writeLength(metresFromCm(cm), unit, 0)).join(' by ');
  return <p className="text-faint">{say.fitsMat(size)}</p>;
}

function More({ pose, setUp }: { pose: PoseDefinition; setUp: SetUp }) {
  return (
    <>
      <details className="border-t border-hair print:in-[aside]:hidden">
        <summary>{say.howDepthFound}</summary>
        <Working steps={setUp.depth?.working ?? []} />
      </details>
      <details className="border-t border-hair print:in-[aside]:hidden">
        <summary>{say.whatLookOrder}</summary>
        <ol className="my-3 grid list-decimal gap-[0.4rem] pl-[1.8rem]">
          {pose.lookAt.map((each) => (
            <li key={each.at}>
              <strong>{each.at}.</strong> {each.look}{' '}
              <span className="text-faint">{each.change}</span>
            </li>
          ))}
        </ol>
      </details>
      <details className="border-t border-hair print:in-[aside]:hidden">
        <summary>{say.out}</summary>
        <p>{pose.wayIn.join(' ')}</p>
        <p>{pose.wayOut.join(' ')}</p>
      </details>
      <details className="border-t border-hair print:in-[aside]:hidden">
        <summary>{say.measuresUsed}</summary>
        <ul className="grid gap-[0.35rem]">
          {setUp.provenance.measures.map((each) => (
            <li key={`${each.measure} ${each.side ?? ''}`}>
              {getProtocol(each.measure).name}
              {each.side === null ? '' : `, ${each.side}`}: {each.value.toFixed(1)} ±{' '}
              {each.error.toFixed(1)}{' '}
              <span className="text-faint">{each.source.replace('-', ' ')}</span>
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}
