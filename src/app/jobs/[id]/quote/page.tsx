import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { localDay } from '@/server/local-day'
import { jobQuote } from '@/server/services/job-quote'
import { workshop } from '@/server/workshop'
import { QuoteView } from '@/ui/quote/quote-view'
import { PageHead } from '@/ui/shared/page-head'

interface QuotePageProps {
  readonly params: Promise<{ id: string }>
}

export async function generateMetadata({ params }: QuotePageProps): Promise<Metadata> {
  const job = workshop().jobs.job(Number((await params).id))
  return job ? { title: `Quote, ${job.title}` } : {}
}

export default async function QuotePage({ params }: QuotePageProps) {
  const quoted = jobQuote(workshop(), Number((await params).id))
  if (!quoted) notFound()
  return (
    <>
      <PageHead title={quoted.job.title} sub={`quote${quoted.job.customer ? ` for ${quoted.job.customer}` : ''}`} />
      <QuoteView quoted={quoted} today={localDay()} />
    </>
  )
}
