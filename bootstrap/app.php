<?php

declare(strict_types=1);

use Anthesis\Words\Refused;
use App\Crops\Crop;
use App\Gardener\ErrorPage;
use App\Operations\Busy;
use App\Operations\Clash;
use App\Operations\CleanInput;
use App\Operations\EventLog;
use App\Operations\KeyReused;
use App\Operations\ReadsEveryOffice;
use App\Operations\SecurityHeaders;
use App\Operations\SessionCookie;
use App\People\Invitation;
use App\People\KnownLogin;
use App\People\Membership;
use App\People\OfficeOfPerson;
use App\People\StaleEdit;
use App\People\User;
use App\Stations\FileRefused;
use App\Zones\Zone;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;
use Illuminate\Validation\ValidationException;
use Laravel\Sanctum\Exceptions\MissingAbilityException;
use Laravel\Sanctum\Http\Middleware\CheckForAnyAbility;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\MethodNotAllowedHttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        commands: __DIR__.'/../routes/console.php',
        then: static function (): void {
            Route::middleware('web')->group(base_path('routes/desk.php'));
            Route::group([], base_path('routes/stations.php'));
            Route::group([], base_path('routes/programs.php'));
            // Calendars are the same for everyone: no session, so that they can be cached anywhere.
            Route::group([], base_path('routes/gardener.php'));
        },
    )
    ->withCommands([app_path('Console')])
    ->withMiddleware(static function (Middleware $middleware): void {
        // Its package is one of those compat/README.md tells of; open data sets its own header.
        $middleware->remove(HandleCors::class);
        // Before anything trims or turns what came in; its refusals carry the headers too.
        $middleware->prepend([SecurityHeaders::class, EventLog::class, CleanInput::class]);
        $middleware->alias(['ability' => CheckForAnyAbility::class, 'bindings' => SubstituteBindings::class]);
        $middleware->prependToGroup('web', SessionCookie::class);
        // Whoever may no longer be here is a guest before anything asks who is here.
        $middleware->appendToGroup('web', KnownLogin::class);
        $middleware->prependToPriorityList(AuthenticatesRequests::class, KnownLogin::class);
        // Whose rows a request is about is settled before the first of them is looked up.
        foreach ([ReadsEveryOffice::class, OfficeOfPerson::class] as $door) {
            $middleware->prependToPriorityList(SubstituteBindings::class, $door);
        }
        // Back to where they wanted to go, once it is known who they are.
        $middleware->redirectGuestsTo(static fn (Request $request): string => '/desk/login'.($request->is('desk') || ! $request->is('desk/*') ? '' : '?to='.rawurlencode($request->getRequestUri())));
    })
    ->withExceptions(static function (Exceptions $exceptions): void {
        // What a person can put right is no fault of ours: EventLog notes it.
        $exceptions->dontReport([FileRefused::class, StaleEdit::class, Refused::class]);
        $exceptions->map(UniqueConstraintViolationException::class, Clash::of(...));
        $exceptions->map(KeyReused::class, static fn (KeyReused $e): ValidationException => ValidationException::withMessages(['key' => $e->getMessage()]));
        $exceptions->map(QueryException::class, static fn (QueryException $e): Throwable => Busy::isLock($e) ? new Busy($e) : $e);
        // Nothing of how the program is made is told: which class, which route.
        $exceptions->map(ModelNotFoundException::class, static fn (ModelNotFoundException $e): NotFoundHttpException => new NotFoundHttpException(match ($e->getModel()) {
            Zone::class => 'There is no zone at this address. Choose one from the list of zones.',
            Crop::class => 'There is no such crop in the crop book. Choose one from the list.',
            User::class, Membership::class, Invitation::class => 'There is no such person, or no longer. Reload the page.',
            default => 'What this address means is not here, or no longer. Reload the page.',
        }));
        $exceptions->map(NotFoundHttpException::class, static fn (NotFoundHttpException $e): NotFoundHttpException => str_starts_with($e->getMessage(), 'The route ') ? new NotFoundHttpException('There is nothing at this address.') : $e);
        $exceptions->map(MissingAbilityException::class, static fn (MissingAbilityException $e): AccessDeniedHttpException => new AccessDeniedHttpException('This token may not do that. Make one that may in your profile.'));
        $exceptions->map(MethodNotAllowedHttpException::class, static fn (MethodNotAllowedHttpException $e): MethodNotAllowedHttpException => new MethodNotAllowedHttpException(
            explode(', ', (string) ($e->getHeaders()['Allow'] ?? 'GET')), 'This address takes no such request.'));
        $exceptions->respond(static fn (Response $response, Throwable $e, Request $request): Response => $response->getStatusCode() < 400 || $e instanceof ValidationException ? $response
            : ErrorPage::respond($request, $response->getStatusCode(), $e instanceof HttpExceptionInterface ? $e->getMessage() : '') ?? $response);
        $exceptions->map(AuthenticationException::class,
            static fn (AuthenticationException $e): AuthenticationException => new AuthenticationException('Nobody is logged in. Log in and try again.', $e->guards(), $e->redirectTo(request())));
        $exceptions->shouldRenderJsonWhen(
            static fn (Request $request): bool => $request->is('api/*') || str_ends_with($request->path(), '.json') || $request->expectsJson(),
        );
    })
    ->create();
