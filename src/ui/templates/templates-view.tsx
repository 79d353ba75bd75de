'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Template } from '@/server/db/repositories'
import { PageLink } from '../shared/page-link'
import { TemplateCard } from './template-card'

/** Outlines kept to be cut again. */
export function TemplatesView({ templates }: { readonly templates: readonly Template[] }) {
  return (
    <Box sx={{ p: 2.5 }}>
      {templates.length === 0 ? (
        <>
          <Typography sx={{ mb: 1.5, maxWidth: 560 }}>
            No outline is kept yet. Measure one by photograph or read a drawing under Outlines, then keep it as a template: it can be
            printed, scaled, mirrored, divided and compared with its pair.
          </Typography>
          <Button component={PageLink} href="/drawer/outline" variant="contained">
            To the outlines
          </Button>
        </>
      ) : null}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 3, alignItems: 'flex-start' }}>
        {templates.map((template) => (
          <TemplateCard key={template.id} template={template} others={templates.filter(({ id }) => id !== template.id)} />
        ))}
      </Box>
    </Box>
  )
}
