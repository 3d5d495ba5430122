import { Form, Link, useSearchParams } from "react-router";
import { AskBox } from "#app/ui/ask-box.tsx";
import type { AskedList } from "#app/ui/list/asked-list.ts";
import { Button } from "#app/ui/sheet.tsx";

interface ListFilterProps {
  asked: AskedList;
  /** Of the box: what can be looked for. */
  label: string;
  hint: string;
  /** A choice beside the search, by its name in the address; its first option is everything. */
  choice?: { readonly name: string; readonly label: string; readonly options: readonly Option[] };
}

interface Option {
  readonly value: string;
  readonly label: string;
}

/** A list of many years: a year at a time, or what is looked for in all of them. */
export function ListFilter(props: ListFilterProps) {
  const { choice } = props;
  const [search] = useSearchParams();
  const chosen = (choice && search.get(choice.name)) ?? "";
  return (
    <search className="grid gap-2 print:hidden">
      <Years {...props} chosen={chosen} />
      <Find {...props} chosen={chosen} />
    </search>
  );
}

type WithChosen = ListFilterProps & { chosen: string };

function Years({ asked: { years, year }, choice, chosen }: WithChosen) {
  if (years.length < 2) return null;
  const inYear = (one: string) => {
    const query = new URLSearchParams({
      year: one,
      ...(choice && chosen !== "" && { [choice.name]: chosen }),
    });
    return `?${query}`;
  };
  return (
    <nav aria-label="Years" className="-mx-3 flex flex-wrap">
      {years.map((one) => (
        <Link
          key={one}
          to={inYear(one)}
          aria-current={one === year ? "page" : undefined}
          className="plan-link"
        >
          {one}
        </Link>
      ))}
    </nav>
  );
}

function Find({ asked: { find }, label, hint, choice, chosen }: WithChosen) {
  return (
    <Form method="get" className="flex flex-wrap items-end gap-3">
      <div className="grow sm:max-w-xs">
        <AskBox
          key={find}
          name="find"
          type="search"
          label={label}
          hint={hint}
          defaultValue={find}
          maxLength={60}
        />
      </div>
      {choice && (
        <label className="grid gap-1">
          <span className="font-semibold">{choice.label}</span>
          <select key={chosen} name={choice.name} defaultValue={chosen} className="field-box">
            {choice.options.map((option) => (
              <option key={option.value} value={option.value}>
                {option.label}
              </option>
            ))}
          </select>
        </label>
      )}
      <Button kind="plain">Show</Button>
      {(find !== "" || chosen !== "") && (
        <Link to="?" className="inline-flex min-h-12 items-center underline">
          Show all
        </Link>
      )}
    </Form>
  );
}
