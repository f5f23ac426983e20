<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Constants of nature and of the calendar of units, in SI. */
final class Nature
{
    /** W/(m²·K⁴). Source: CODATA 2018. */
    public const STEFAN_BOLTZMANN = 5.670374e-8;

    /** Source: NIST SP 811, appendix B. */
    public const ZERO_C_IN_K = 273.15;

    /** Standard gravity, m/s². Source: NIST SP 811, appendix B. */
    public const GRAVITY = 9.80665;

    /** Source: NIST SP 811, appendix B. */
    public const POUND_KG = 0.45359237;
}
