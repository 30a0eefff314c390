export default trialRoutes.restore()
