import Typography from '@mui/material/Typography';

/** Over a few things of one kind within a panel. */
export const Heading = ({ children }: { children: string }) => (
  <Typography component="h3" sx={{ fontWeight: 600, fontSize: '0.95rem', mb: 0.75 }}>
    {children}
  </Typography>
);
