'use client';
/** An order as it was sent: how far it is, its proofs, and its files. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { IconCheck } from '@tabler/icons-react';
import { useState } from 'react';
import { STAGES } from '@/core/order/answers';
import { download, fileName } from '@/features/shared/download';
import { proofAt } from '@/features/table/tasks/making/order/shop';
import type { OrderRow } from '@/storage/database';

const STAGE_NAMES = { received: 'Received', checked: 'Checked', printed: 'Printed', sent: 'Sent' } as const;
/** Proofs shown at first. */
const SHOWN_FIRST = 6;

export function OrderKept({ row }: { row: OrderRow }) {
  const { ticket, state, files, shop, sent } = row;
  const at = STAGES.indexOf(state.stage);
  const [all, setAll] = useState(false);
  const pages = ticket.files.reduce((sum, file) => sum + file.pages, 0);
  const shown = all ? pages : Math.min(pages, SHOWN_FIRST);
  const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' }).format(sent);
  return (
    <Box
      data-testid="ordered"
      sx={{ border: 1, borderColor: 'divider', borderRadius: 2, p: 1.5, display: 'grid', gap: 1 }}
    >
      <Typography sx={{ fontWeight: 600 }}>
        {state.order}, {ticket.copies === 1 ? 'one copy' : `${ticket.copies} copies`} for {ticket.customer}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        Sent to {shop} on {day}, {pages} {pages === 1 ? 'page' : 'pages'} for {ticket.condition}.
      </Typography>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', gap: 2 }}>
        {STAGES.map((stage, i) => (
          <Box
            component="li"
            key={stage}
            aria-current={i === at ? 'step' : undefined}
            sx={{
              ...{ display: 'flex', alignItems: 'center', gap: 0.5, fontSize: '0.875rem' },
              color: i <= at ? 'success.main' : 'text.secondary',
              fontWeight: i === at ? 600 : 400,
            }}
          >
            {i <= at && <IconCheck size={16} aria-label="done" />}
            {STAGE_NAMES[stage]}
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-end' }}>
        {Array.from({ length: shown }, (_, i) => (
          <Proof key={i} at={proofAt(state.order, i + 1)} page={i + 1} />
        ))}
        {shown < pages && (
          <Button size="small" onClick={() => setAll(true)}>
            All {pages} proofs
          </Button>
        )}
      </Box>
      <Typography variant="body2">
        As it was sent:{' '}
        {files.map(({ name, blob }, i) => (
          <span key={name}>
            {i > 0 && ', '}
            <Link
              component="button"
              variant="body2"
              onClick={() => download(blob, `${fileName(`${ticket.title} ${state.order}`)} ${name}`)}
            >
              {name}
            </Link>{' '}
            ({(blob.size / 1e6).toFixed(1)} MB)
          </span>
        ))}
        , and its{' '}
        <Link
          component="button"
          variant="body2"
          onClick={() =>
            download(
              new Blob([JSON.stringify(ticket, null, 2)], { type: 'application/json' }),
              `${fileName(`${ticket.title} ${state.order}`)} ticket.json`,
            )
          }
        >
          ticket
        </Link>
        .
      </Typography>
    </Box>
  );
}

/** What the shop made of a page; nothing where it knows the order no more. */
function Proof({ at, page }: { at: string; page: number }) {
  const [gone, setGone] = useState(false);
  if (gone) return null;
  return (
    <img
      src={at}
      alt={`Proof of page ${page}`}
      loading="lazy"
      onError={() => setGone(true)}
      style={{ height: 92, boxShadow: '0 1px 3px rgba(0,0,0,0.35)', background: '#fff' }}
    />
  );
}
