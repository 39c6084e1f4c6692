import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import type { Side } from '../../core/measures/protocol.ts';
import type { Page } from '../../core/paper/page.ts';
import { writePageSvg } from '../../core/paper/pageSvg.ts';
import { writeHomePage } from '../../core/extract/writeHomePage.ts';
import type { Result } from '../../core/problems/problem.ts';
import { POSES } from '../../core/poses/catalogue/index.ts';
import { LYING_POSES } from '../../core/poses/lying/index.ts';
import { Missing } from '../shared/Missing.tsx';
import { listFlows } from '../../data/flows.ts';
import { listSessions } from '../../data/sessions.ts';
import { getStudio } from '../../data/studio.ts';
import { PersonHeader } from '../shared/PersonHeader.tsx';
import { toImageAddress, toPng } from '../shared/picture.ts';
import { ProblemList } from '../shared/ProblemList.tsx';
import { namePose } from '../shared/poseWords.ts';
import { saveFile } from '../shared/saveFile.ts';
import { useAnswer } from '../shared/useAnswer.ts';
import { useQuery } from '../shared/useQuery.ts';
import { useRecordWithHeld, useUnit } from '../shared/useRecord.ts';
import { FLOW_KINDS, makeFlowPages, type FlowKind } from './makeFlowPages.ts';
import { KINDS, makePages, type Kind, type Made, type PaperRequest } from './makePages.ts';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { paperView as say } from './words.ts';

/** What goes onto paper: cards for the mat, or the feet in true size. */
export function PaperView() {
  const [query, setQuery] = useQuery();
  const record = useRecordWithHeld(query.get('id'));
  const studio = useLiveQuery(getStudio, []);
  const unit = useUnit();
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const asked = query.get('kind') ?? '';
  const kind: Kind = asked in KINDS ? (asked as Kind) : 'a5';
  const size = query.get('paper') ?? studio?.paper.toLowerCase();
  const paper = size === 'letter' ? 'letter' : 'a4';
  const side: Side = query.get('side') === 'left' ? 'left' : 'right';
  const poseIds = (query.get('poses') ?? 'warrior-two').split(',').filter((each) => each !== '');
  const request: PaperRequest = { record, poseIds, kind, paper, side, unit };
  const flowId = query.get('flow');
  if (flowId !== null) {
    const flowKind = asked === 'cues' ? 'cues' : 'figures';
    return <FlowPaper flowId={flowId} kind={flowKind} request={request} onChange={setQuery} />;
  }
  return (
    <>
      <PersonHeader person={record.person} here="set-up" />
      <h1 className="print:hidden">{say.paper}</h1>
      <div className="grid grid-cols-[18rem_minmax(0,1fr)] gap-8 max-phone:grid-cols-[minmax(0,1fr)] print:block">
        <PaperChoice
          request={request}
          onChange={(changes) => {
            setQuery(changes);
          }}
        />
        <Pages
          key={kind}
          asked={JSON.stringify({ ...request, record: record.revision })}
          title={`${record.person.name}, ${KINDS[kind]}`}
          make={() => makePages(request)}
          onFillIn={(cards) => {
            saveHomePage(request, cards);
          }}
        />
      </div>
    </>
  );
}

/** A flow of this person: its figures, its moves and the marks of its mat. */
function FlowPaper({
  flowId,
  kind,
  request,
  onChange,
}: PaperChoiceProps & { flowId: string; kind: FlowKind }) {
  const { record, paper, unit } = request;
  const personId = record.person.id;
  const flows = useLiveQuery(() => listFlows(personId), [personId]);
  const sessions = useLiveQuery(() => listSessions(personId), [personId]);
  if (flows === undefined || sessions === undefined) return <Missing loading />;
  const flow = flows.find(({ id }) => id === flowId);
  return (
    <>
      <PersonHeader person={record.person} here="flows" />
      <h1 className="print:hidden">{say.paper}</h1>
      {flow === undefined ? (
        <p role="status">{say.flowIsGone}</p>
      ) : (
        <div className="grid grid-cols-[18rem_minmax(0,1fr)] gap-8 max-phone:grid-cols-[minmax(0,1fr)] print:block">
          <form className="print:hidden">
            <SelectField
              label={say.whatPrinted}
              value={kind}
              options={Object.entries(FLOW_KINDS)}
              onChange={(value) => {
                onChange({ kind: value });
              }}
            />
            <PaperSize paper={paper} onChange={onChange} />
          </form>
          <Pages
            key={kind}
            asked={JSON.stringify({ flow, paper, unit, kind, record: record.revision })}
            title={`${record.person.name}, ${flow.name}`}
            make={() => makeFlowPages(record, sessions, flow, paper, unit, kind)}
          />
        </div>
      )}
    </>
  );
}

interface PaperChoiceProps {
  request: PaperRequest;
  onChange: (changes: Readonly<Record<string, string>>) => void;
}

function PaperChoice({ request, onChange }: PaperChoiceProps) {
  const { kind, paper, side, poseIds } = request;
  const isOneSided = kind === 'template' || kind === 'strips';
  const all = [...POSES, ...(isOneSided ? [] : LYING_POSES)];
  return (
    <form className="print:hidden">
      <SelectField
        label={say.whatPrinted}
        value={kind}
        options={Object.entries(KINDS)}
        onChange={(value) => {
          onChange({ kind: value });
        }}
      />
      <PaperSize paper={paper} onChange={onChange} />
      {isOneSided && (
        <SelectField
          label={say.frontFoot}
          value={side}
          options={[
            ['right', say.right],
            ['left', say.left],
          ]}
          onChange={(value) => {
            onChange({ side: value });
          }}
        />
      )}
      <fieldset className="*:[div]:max-w-248 *:[div]:columns-[14rem]">
        <legend>{say.poses}</legend>
        <div>
          {all.map(({ id, name }) => (
            <label key={id} className="flex min-h-11 cursor-pointer items-center gap-[0.6rem]">
              <input
                type="checkbox"
                checked={poseIds.includes(id)}
                onChange={(event) => {
                  const others = poseIds.filter((each) => each !== id);
                  const chosen = event.target.checked ? [...others, id] : others;
                  onChange({ poses: chosen.join(',') });
                }}
              />
              {name}
            </label>
          ))}
        </div>
      </fieldset>
    </form>
  );
}

const PaperSize = ({
  paper,
  onChange,
}: Pick<PaperRequest, 'paper'> & Pick<PaperChoiceProps, 'onChange'>) => (
  <SelectField
    label={say.paperSize}
    value={paper}
    options={[
      ['a4', 'A4'],
      ['letter', say.letter],
    ]}
    onChange={(value) => {
      onChange({ paper: value });
    }}
  />
);

interface PagesProps {
  /** What the pages depend on, as one text. */
  asked: string;
  title: string;
  make: () => Promise<Result<Made>>;
  /** Saves the cards as a page to fill in at home; left out = it is never one. */
  onFillIn?: (cards: readonly Page[]) => void;
}

/** The printed page is as large as what is drawn for it, mm. */
function PageSize({ width, height }: { width: number; height: number }) {
  useEffect(() => {
    // A style element would be refused by the page's own policy.
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(`@page { size: ${String(width)}mm ${String(height)}mm; margin: 0 }`);
    document.adoptedStyleSheets.push(sheet);
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((each) => each !== sheet);
    };
  }, [width, height]);
  return null;
}

function Pages({ asked, title, make, onFillIn }: PagesProps) {
  const answer = useAnswer(asked, make);
  if (answer === null) return <p className="text-faint">{say.preparingPages}</p>;
  if (!answer.ok) return <ProblemList problems={answer.problems} />;
  const { pages, cards, problems } = answer.value;
  const [first] = pages;
  return (
    <section
      className="[&_img]:block [&_img]:max-w-full [&_img]:border [&_img]:border-hair [&_img]:bg-white [&_li]:print:break-after-page [&_ol]:grid [&_ol]:gap-4 print:[&_img]:max-w-none print:[&_img]:border-0 print:[&_ol]:block"
      aria-label={say.pages}
    >
      <ProblemList problems={problems} />
      {first === undefined ? (
        <p>{say.nothingPrintYetChoose}</p>
      ) : (
        <>
          <PageSize width={first.width} height={first.height} />
          <div className="my-4 flex flex-wrap gap-3 print:hidden">
            <Button
              onClick={() => {
                window.print();
              }}
            >
              {say.print}
            </Button>
            <Button
              isPlain
              onClick={() => {
                void savePdf(pages, title);
              }}
            >
              {say.saveAsPdf}
            </Button>
            {cards !== undefined && onFillIn !== undefined && (
              <Button
                isPlain
                onClick={() => {
                  onFillIn(cards);
                }}
              >
                {say.savePageFillIn}
              </Button>
            )}
          </div>
          <p className="text-faint print:hidden">{say.printEachPageHas}</p>
          <ol>
            {pages.map((page) => (
              <PageItem key={page.name} page={page} />
            ))}
          </ol>
        </>
      )}
    </section>
  );
}

/** A page that the person fills in at home, in any browser. */
function saveHomePage({ record: { person }, poseIds }: PaperRequest, cards: readonly Page[]): void {
  const poses = poseIds.map((id) => ({ id, name: namePose(id) }));
  const sheet = crypto.randomUUID();
  const { id, name } = person;
  const page = writeHomePage({ person: { id, name }, sheet, poses, cards });
  saveFile(say.homePageFile(name), page, 'text/html');
}

/** The writer of PDF is large: it is fetched when it is asked for. */
async function savePdf(pages: readonly Page[], title: string): Promise<void> {
  const { writePdf } = await import('../../core/paper/pdf.ts');
  const bytes = await writePdf(pages, title);
  saveFile(`${title}.pdf`, new Uint8Array(bytes), 'application/pdf');
}

function PageItem({ page }: { page: Page }) {
  const { name, width, height } = page;
  const svg = writePageSvg(page);
  return (
    <li>
      <img
        src={toImageAddress(svg)}
        alt={name}
        style={{ width: `${String(width)}mm`, aspectRatio: `${String(width)} / ${String(height)}` }}
      />
      <p className="print:hidden">
        {name}{' '}
        <WordButton
          onClick={() => {
            saveFile(`${name}.svg`, svg, 'image/svg+xml');
          }}
        >
          {say.asSvg}
        </WordButton>{' '}
        <WordButton
          onClick={() => {
            void toPng(svg, width, height).then((png) => {
              saveFile(`${name}.png`, png, 'image/png');
            });
          }}
        >
          {say.asPng}
        </WordButton>
      </p>
    </li>
  );
}
