'use client'
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs'
import { DatePicker } from '@mui/x-date-pickers/DatePicker'
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider'
import dayjs from 'dayjs'
import { CalendarDays, X } from 'lucide-react'
import { type Ref, useId } from 'react'
import { useDates } from '../shared/dates'
import { FieldRow } from '../shared/field-row'
import { FONTS, PALETTE } from '../theme/palette'

interface DayFieldProps {
  readonly label: string
  /** "2027-03-01", or none. */
  readonly day: string | null
  readonly onChange: (day: string | null) => void
  readonly error?: string | undefined
  readonly inputRef: Ref<HTMLInputElement>
}

const Icon = () => <CalendarDays size={18} aria-hidden />
const Clear = () => <X size={16} aria-hidden />

/** As high and as bright as every other field. */
const FIELD = {
  width: 200,
  '& .MuiPickersOutlinedInput-root, & .MuiPickersSectionList-root': { height: 32, py: 0, alignItems: 'center' },
  '& .MuiPickersOutlinedInput-root': { bgcolor: PALETTE.white, fontFamily: FONTS.mono, fontSize: 14 },
  '& .MuiPickersOutlinedInput-notchedOutline': { borderColor: PALETTE.hairline },
} as const

/** A day in the browser's own order and week. */
export function DayField({ label, day, onChange, error, inputRef }: DayFieldProps) {
  const id = useId()
  const { locale } = useDates()
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs} adapterLocale={locale}>
      <FieldRow id={id} label={label} error={error}>
        <DatePicker
          value={day === null ? null : dayjs(day)}
          onChange={(picked) => onChange(picked === null ? null : picked.isValid() ? picked.format('YYYY-MM-DD') : 'not a day')}
          inputRef={inputRef}
          slots={{ openPickerIcon: Icon, clearIcon: Clear }}
          slotProps={{
            textField: { id, size: 'small', error: error !== undefined, sx: FIELD, 'aria-describedby': `${id}-said` },
            field: { clearable: true },
          }}
        />
      </FieldRow>
    </LocalizationProvider>
  )
}
