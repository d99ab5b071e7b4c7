import type { ColumnDef } from '@tanstack/react-table';
import { ChevronDown, ChevronRight } from 'lucide-react';
import type { PackageView } from '@/services/stock/packageView';
import type { GroupView } from '@/services/stock/stockGroups';
import { DateButton } from '../package/DateButton';
import { sayPackage } from '../package/sayPackage';
import { Tape } from '../tape/Tape';
import type { StockLine } from './stockLines';

function nameCell(
  line: StockLine,
  { onOpen, showPackage }: { onOpen: (key: string) => void; showPackage: (code: string) => void },
) {
  if (line.kind === 'words') return <span className="text-slate">{line.words}</span>;
  if (line.kind === 'package') {
    const { view } = line;
    return (
      <span className={line.inside ? 'block pl-5' : 'block'}>
        <button
          type="button"
          className="flex min-h-11 w-full cursor-pointer items-center text-left"
          aria-label={sayPackage(view)}
          onClick={() => showPackage(view.code)}
        >
          <Tape food={view.food.name} detail={view.amount_words} band={view.band} state={view.state} />
        </button>
        <span className="flex items-center gap-2 text-[0.9375rem] text-slate sm:hidden">
          <DateButton view={view} />
          <span className="min-w-0 truncate">{view.story}</span>
        </span>
      </span>
    );
  }
  const { group, open } = line;
  const Mark = open ? ChevronDown : ChevronRight;
  return (
    <button
      type="button"
      data-group-name
      className="flex min-h-11 w-full cursor-pointer items-center gap-1.5 text-left"
      aria-expanded={open}
      aria-label={`${group.title}, ${group.packs} packs: ${group.sizes}, oldest ${group.oldest}`}
      onClick={() => onOpen(line.key)}
    >
      <Mark aria-hidden size={20} className="shrink-0" />
      <b className="min-w-0 truncate font-heading font-semibold sm:whitespace-normal">{group.title}</b>
      <span className="ml-auto shrink-0 text-[0.9375rem] text-slate sm:hidden">
        {group.packs} · {group.due_words}
      </span>
    </button>
  );
}

/** The columns of the list: what a group shows in each, and what a single package does. */
export function columnsFor(doing: {
  onOpen: (key: string) => void;
  showPackage: (code: string) => void;
}): ColumnDef<StockLine>[] {
  const cell = (
    id: string,
    header: string,
    group: (view: GroupView) => React.ReactNode,
    single: (view: PackageView) => React.ReactNode,
  ): ColumnDef<StockLine> => ({
    id,
    header,
    cell: ({ row: { original: line } }) =>
      line.kind === 'group' ? group(line.group) : line.kind === 'package' ? single(line.view) : null,
  });
  return [
    { id: 'name', header: 'What', cell: ({ row }) => nameCell(row.original, doing), enableHiding: false },
    cell(
      'sizes',
      'How many',
      ({ sizes, oldest }) => `${sizes}, oldest ${oldest}`,
      () => null,
    ),
    cell(
      'where',
      'Where and since when',
      ({ where }) => where,
      ({ story }) => story,
    ),
    cell(
      'comes',
      'Comes to',
      ({ comes_to }) => comes_to,
      ({ amount_words }) => amount_words,
    ),
    cell(
      'code',
      'Code',
      () => '',
      ({ code }) => <b className="font-heading font-semibold">{code}</b>,
    ),
    cell(
      'date',
      'Date',
      ({ due_words, due_full, band }) => (
        <span title={due_full} className={`font-heading font-semibold ${band === 'past' ? 'text-beet' : ''}`}>
          {due_words}
        </span>
      ),
      (view) => <DateButton view={view} />,
    ),
  ];
}
