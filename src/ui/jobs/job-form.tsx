'use client'
import { useRouter } from 'next/navigation'
import { jobEntry } from '@/core/entries'
import type { ActionInput } from '@/server/actions/perform'
import type { Job } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { useTold } from '../acting/use-told'
import { EntryChoice, EntryDay, EntryText } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { useWorkshop } from '../shared/workshop-context'
import { STATUS_WORDS } from './words'

type JobTyped = Omit<ActionInput<'saveJob'>, 'id' | 'agreed' | 'deposit'> & { readonly agreed: string; readonly deposit: string }

const sum = (money: number | null | undefined) => (money === null || money === undefined ? '' : String(money))

/** A new job, or the words of one there is. */
export function JobForm({ job, onDone }: { readonly job?: Job; readonly onDone: () => void }) {
  const act = useAct()
  const told = useTold()
  const router = useRouter()
  const { currency } = useWorkshop()
  async function send(typed: JobTyped) {
    if (job) {
      const { id, title, customer, dueOn, status, note, sizes, agreed, deposit } = job
      const back = { id, title, customer, dueOn, status, note, sizes, agreed, deposit }
      return told('saveJob', { ...typed, id }, { revision: job.revision, text: `${typed.title} is changed.`, back })
    }
    const saved = await act('saveJob', typed)
    if (saved.ok) router.push(`/jobs?job=${saved.id}`)
    return saved
  }
  return (
    <EntryForm<JobTyped>
      label={job ? `Change ${job.title}` : 'New job'}
      schema={jobEntry}
      values={{
        title: job?.title ?? '',
        customer: job?.customer ?? '',
        dueOn: job?.dueOn ?? null,
        status: job?.status ?? 'asked',
        note: job?.note ?? '',
        sizes: job?.sizes ?? '',
        agreed: sum(job?.agreed),
        deposit: sum(job?.deposit),
      }}
      send={send}
      onDone={onDone}
      onCancel={onDone}
      submit="Save the job"
    >
      <EntryText name="title" label="Job" autoFocus />
      <EntryText name="customer" label="For" />
      <EntryDay name="dueOn" label="Due" />
      <EntryChoice name="status" label="Status" options={STATUS_WORDS} />
      <EntryText name="note" label="Note" />
      <EntryText name="sizes" label="Customer’s sizes" />
      <EntryText name="agreed" label={`Price agreed, ${currency}`} />
      <EntryText name="deposit" label={`Deposit paid, ${currency}`} />
    </EntryForm>
  )
}
