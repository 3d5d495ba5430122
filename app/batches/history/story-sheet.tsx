import { type FormSetting, happenedOn } from "#app/batches/batch-forms.ts";
import { readAs } from "#app/batches/history/line-in-words.ts";
import { storyLineForm } from "#app/batches/history/story-line.ts";
import { type StoryLine, storyLines, type TakenDay } from "#app/batches/history/story-lines.ts";
import { FarmForm, type Refusal } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import type { Batch, BatchStory } from "#db/batch/batch-queries.server.ts";

interface StorySheetProps {
  batch: Batch;
  story: BatchStory;
  days: readonly TakenDay[];
  setting: FormSetting;
  entryId: string;
  refusal: Refusal | undefined;
}

const THINGS = [
  { to: "weigh-in", name: "Live weights" },
  { to: "loss", name: "Birds lost" },
  { to: "feed", name: "Feed bought" },
  { to: "feed-left", name: "Feed left" },
  { to: "cost", name: "Other cost" },
];

/** All that happened to a flock, the newest first, and a line to write the next thing on. */
export function StorySheet({ batch, story, days, setting, entryId, refusal }: StorySheetProps) {
  const show = useShow();
  const lines = storyLines(batch, story, show, days);
  const weights = setting.unitSystem === "us" ? "weighed 6 4, 6 2" : "weighed 2.84; 2.79";
  return (
    <Sheet heading="History" beside={plural(lines.length, "line")}>
      <div className="border-b border-rule pt-1 pb-3">
        <FarmForm
          schema={storyLineForm(setting.unitSystem, happenedOn(setting))}
          refusal={refusal}
          entryId={entryId}
          defaults={{ happenedOn: batch.awaitedOn ? "" : setting.today }}
          submit="Save"
          beside={THINGS.map(({ to, name }) => (
            <ButtonLink key={to} kind="plain" to={`/batches/${batch.id}/${to}`}>
              {name}
            </ButtonLink>
          ))}
        >
          {(fields) => (
            <div className="grid gap-3 sm:grid-cols-4">
              <div className="sm:col-span-3">
                <TextField
                  field={fields.line}
                  label="What happened?"
                  hint={`For example: lost 1 hawk · ${weights} · 3 bags 18.95 · left 2.5 bags · moved 40 to north pen · arrived 82 · anything else is saved as a note`}
                />
                <p role="status" className="pt-1 text-sm">
                  {readAs(fields.line.value, show)}
                </p>
              </div>
              <TextField field={fields.happenedOn} label="Date" type="date" />
            </div>
          )}
        </FarmForm>
      </div>
      <ol>
        {lines.map((line) => (
          <StoryRow key={line.entryId ?? `${line.day}${line.text}`} line={line} batchId={batch.id} />
        ))}
      </ol>
    </Sheet>
  );
}

function StoryRow({ line, batchId }: { line: StoryLine; batchId: number }) {
  const show = useShow();
  return (
    <li className="grid grid-cols-4 items-baseline gap-3 border-b border-rule py-2 last:border-b-0">
      <span className="text-sm text-soft">{show.shortDay(line.day)}</span>
      <span className="col-span-3 flex flex-wrap items-baseline justify-between gap-x-3">
        <span>
          {line.text}
          {line.more && <span className="block text-sm text-soft">{line.more}</span>}
        </span>
        {line.entryId && (
          <RemoveButton entryId={line.entryId} back={`/batches/${batchId}`} what={line.text} />
        )}
      </span>
    </li>
  );
}
