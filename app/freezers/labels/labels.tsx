import { redirect } from "react-router";
import { LabelFields } from "#app/freezers/labels/label-fields.tsx";
import { labelForm } from "#app/freezers/labels/label-form.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { labelOfPack, labelSetting } from "#app/server/freezer/label-of-pack.server.ts";
import { ENTRY_USED, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { LabelPicture } from "#app/ui/label/label-picture.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { MISSING_WORDS } from "#app/words/label-words.ts";
import { LABEL_PARTS, labelLayout, missingParts } from "#core/label/label-parts.ts";
import { codePicture } from "#workers/labels/code-picture.ts";
import type { Route } from "./+types/labels.ts";

export const meta = () => [{ title: "Labels · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const setting = labelSetting(here);
  const pack = here.file.freezers.stored().at(-1);
  const texts = pack && labelOfPack(here, farm, pack);
  return {
    setting,
    isSaved: here.file.labels.setting() !== undefined,
    ruleForOthers: farm.ruleForOthers,
    example: texts && {
      texts,
      code: codePicture(setting.codeKind, texts.code!),
      missing: missingParts(setting.required, texts),
      fits: labelLayout(setting, texts).fits,
    },
    entryId: newEntryId(),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, labelForm);
  if (!sent.ok) return sent.refusal;
  if (!here.file.labels.saveSetting(sent.entry, sent.value).recorded) return sent.refuse({ "": ENTRY_USED });
  return redirect("/freezers/labels", 303);
}

export default function Labels({ loaderData, actionData }: Route.ComponentProps) {
  const { setting, entryId, ruleForOthers } = loaderData;
  return (
    <Page isWide>
      <PageHead title="Labels" line="what each pack says, as your local law asks for it" />
      <div className="grid items-start gap-5 xl:grid-cols-2">
        <Sheet heading="Your label">
          <FarmForm
            key={JSON.stringify(setting)}
            schema={labelForm}
            refusal={actionData}
            entryId={entryId}
            defaults={{
              width: String(setting.widthMillimeters),
              height: String(setting.heightMillimeters),
              letterPoints: String(setting.letterPoints),
              farmLine: setting.farmLine,
              storageLine: setting.storageLine,
              handlingLine: setting.handlingLine,
              exemptionLine: setting.exemptionLine,
              codeKind: setting.codeKind,
              rows: String(setting.rows),
              columns: String(setting.columns),
              ...Object.fromEntries(
                LABEL_PARTS.filter((part) => setting.required.includes(part)).map((part) => [
                  `needs-${part}`,
                  "on",
                ]),
              ),
            }}
            submit="Save label"
          >
            {(fields) => <LabelFields fields={fields} />}
          </FarmForm>
        </Sheet>
        <Example {...loaderData} rule={ruleForOthers} />
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

/** The last pack's label, true to size, and what it lacks. */
function Example({ example, setting, rule }: Loaded & { rule: string }) {
  return (
    <Sheet heading="Label, true to size" beside="of the last pack">
      {example ? (
        <div className="grid gap-3 py-2">
          <div className="overflow-x-auto">
            <LabelPicture template={setting} texts={example.texts} code={example.code} />
          </div>
          {example.missing.length > 0 && (
            <p className="font-semibold text-barn">
              Missing for your rule: {example.missing.map((part) => MISSING_WORDS[part]).join("; ")}.
            </p>
          )}
          {!example.fits && (
            <p className="font-semibold text-barn">
              The words don't fit on this label. Make it larger, or leave some of them out.
            </p>
          )}
        </div>
      ) : (
        <p className="py-2">Pack something, and its label shows here as it will be printed.</p>
      )}
      <p className="py-2 text-sm text-soft">
        What a label must say is local law: enter it here as your inspector or your state's small-producer
        rule has it.
        {rule && ` Your rule, as you entered it: “${rule}”`}
      </p>
    </Sheet>
  );
}
