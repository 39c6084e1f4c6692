import { drawSheet } from '../../core/drawing/sheet.ts';
import { writeSvg } from '../../core/drawing/svg.ts';
import { layDrawing } from '../../core/paper/drawingPage.ts';
import type { PoseDefinition } from '../../core/poses/poseDefinition.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import { toPng } from '../shared/picture.ts';
import { saveFile } from '../shared/saveFile.ts';
import { useUnit } from '../shared/useRecord.ts';
import { LABEL } from './SheetView.tsx';
import { WordButton } from '../shared/ui/Button.tsx';
import { saveSheet as say } from './words.ts';

interface SaveSheetProps {
  personId: string;
  name: string;
  /** null = a lying or seated form: cards and the file alone. */
  pose: PoseDefinition | null;
  setUp: SetUp;
}

/** The set-up to take along: cards and templates on paper, the drawing, or the numbers as a file. */
export function SaveSheet({ personId, name, pose, setUp }: SaveSheetProps) {
  const unit = useUnit();
  const drawing = pose === null ? null : drawSheet(pose, setUp, { unit, labelMm: LABEL });
  const stem = `${name} ${setUp.pose} ${setUp.side}`;
  const svg = drawing === null ? '' : writeSvg(drawing);
  const query = new URLSearchParams({ id: personId, poses: setUp.pose, side: setUp.side });
  const photo = new URLSearchParams({
    id: personId,
    pose: setUp.pose,
    side: setUp.side,
    ...(setUp.level === null ? {} : { level: setUp.level }),
  });
  return (
    <p
      className="mt-[0.6rem] *:[a]:inline-flex *:[a]:min-h-11 *:[a]:items-center print:hidden"
      data-testid="save-sheet"
    >
      <a href={`/paper?${query.toString()}`}>
        {pose === null ? say.cardPaper : say.cardFullSizeTemplates}
      </a>
      {pose !== null && (
        <>
          . <a href={`/pose-photo?${photo.toString()}`}>{say.photoAgainstPlan}</a>
        </>
      )}
      {say.saveSetUpAs}
      <span className="whitespace-nowrap">
        <WordButton
          onClick={() => {
            saveFile(`${stem}.json`, `${JSON.stringify(setUp, null, 2)}\n`);
          }}
        >
          {say.file}
        </WordButton>
        {drawing === null ? '.' : ','}
      </span>
      {drawing !== null && pose !== null && (
        <>
          {say.drawingAs}
          <span className="whitespace-nowrap">
            <WordButton
              onClick={() => {
                saveFile(`${stem}.svg`, svg, 'image/svg+xml');
              }}
            >
              {say.svg}
            </WordButton>
            ,
          </span>{' '}
          <WordButton
            onClick={() => {
              const page = layDrawing(drawing, `${pose.name}, ${name}`, 'a4');
              void import('../../core/paper/pdf.ts')
                .then(({ writePdf }) => writePdf([page], page.name))
                .then((bytes) => {
                  saveFile(`${stem}.pdf`, new Uint8Array(bytes), 'application/pdf');
                });
            }}
          >
            {say.pdf}
          </WordButton>
          {say.or}
          <span className="whitespace-nowrap">
            <WordButton
              onClick={() => {
                const [, , width, height] = drawing.box;
                void toPng(svg, width, height).then((png) => {
                  saveFile(`${stem}.png`, png, 'image/png');
                });
              }}
            >
              {say.png}
            </WordButton>
            .
          </span>
        </>
      )}
    </p>
  );
}
