import { Form, Link, redirect } from "react-router";
import { LabelFields } from "#app/freezers/labels/label-fields.tsx";
import { labelForm } from "#app/freezers/labels/label-form.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { labelOfPack, labelSetting } from "#app/server/freezer/label-of-pack.server.ts";
import { ENTRY_USED, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { LabelPicture } from "#app/ui/label/label-picture.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { MISSING_WORDS } from "#app/words/packing/label-words.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { LABEL_PARTS, labelLayout, missingParts } from "#core/label/label-parts.ts";
import type { Product } from "#db/pack/product-queries.server.ts";
import { codePicture } from "#workers/labels/code-picture.ts";
import type { Route } from "./+types/labels.ts";

export const meta = () => [{ title: "Labels · Pale Morning" }];

/** The product whose own label is asked for; undefined for the label of all others. */
function productAsked({ file }: FarmContext, request: Request): Product | undefined {
  const id = Number(new URL(request.url).searchParams.get("product"));
  return file.catalog.products().find((product) => product.id === id);
}

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const product = productAsked(here, request);
  const setting = labelSetting(here, product?.id);
  const products = here.file.catalog.products();
  const pack = here.file.freezers.lastStored(product?.id);
  const texts = pack && labelOfPack(here, farm, pack);
  return {
    setting,
    product: product && { id: product.id, name: productName(product) },
    products: products.map((one) => ({ id: one.id, name: productName(one) })),
    own: here.file.labels.ownLabels(),
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
  const product = productAsked(here, request);
  const sent = await submitted(here, request, labelForm);
  if (!sent.ok) return sent.refusal;
  if (!here.file.labels.saveSetting(sent.entry, sent.value, product?.id).recorded)
    return sent.refuse({ "": ENTRY_USED });
  return redirect(product ? `/freezers/labels?product=${product.id}` : "/freezers/labels", 303);
}

export default function Labels({ loaderData, actionData }: Route.ComponentProps) {
  const { setting, entryId, ruleForOthers, product } = loaderData;
  return (
    <Page isWide>
      <PageHead title="Labels" line="what each pack says, as your local law asks for it" />
      <WhichLabel {...loaderData} />
      <div className="grid items-start gap-5 xl:grid-cols-2">
        <Sheet heading={product ? `Label of ${product.name.toLowerCase()}` : "Label of all products"}>
          <FarmForm
            key={`${product?.id} ${JSON.stringify(setting)}`}
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

/** The label of all products, those of some products alone, and the way to one more. */
function WhichLabel({ product, products, own }: Loaded) {
  const nameOf = (id: number) => products.find((one) => one.id === id)?.name ?? "";
  const ownOfThis = own.find(({ productId }) => productId === product?.id);
  return (
    <nav aria-label="Labels" className="flex flex-wrap items-end gap-3 print:hidden">
      <Link to="/freezers/labels" aria-current={product ? undefined : "page"} className="product-link">
        All products
      </Link>
      {own.map(({ productId }) => (
        <Link
          key={productId}
          to={`/freezers/labels?product=${productId}`}
          aria-current={product?.id === productId ? "page" : undefined}
          className="product-link"
        >
          {nameOf(productId)}
        </Link>
      ))}
      <Form className="flex items-end gap-2">
        <label className="grid gap-1 text-sm font-semibold">
          A label of its own for
          <select name="product" className="field-box text-base font-normal" defaultValue={product?.id}>
            {products.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <Button kind="plain">Set it up</Button>
      </Form>
      {ownOfThis && (
        <RemoveButton
          entryId={ownOfThis.entryId}
          back="/freezers/labels"
          what="this product's last label change"
        />
      )}
    </nav>
  );
}

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
