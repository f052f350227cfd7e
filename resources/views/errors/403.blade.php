@php($why = in_array($exception->getMessage(), ['', 'This action is unauthorized.', 'Forbidden'], true)
    ? 'Rules and Team are for leads and admins, and what a colleague wrote is for that colleague to change.'
    : $exception->getMessage())
<x-plain title="This is not yours to open" :text="$why" />
